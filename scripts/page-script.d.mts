import type { Plugin } from 'esbuild';

/** Leaves behind what a running page does not ask for when its script is bundled. */
export declare const slimPage: Plugin;
