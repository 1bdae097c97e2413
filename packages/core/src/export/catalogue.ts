/** All formats that projects are handed over in, in the order in which Ship shows them. */
import type { Exporter } from './exporter.ts';
import { html } from './page.ts';

export const exporters: readonly Exporter[] = [html];

/** The format of that id; undefined where there is none. */
export const exporterNamed = (id: string): Exporter | undefined => exporters.find((each) => each.id === id);
