/** What a page may do (Content Security Policy 3): run its own script, show its own files and pictures, listen to its feeds. */
import { calledOrigins, originsOf } from '../document/feed.ts';
import type { PageConfig } from '../document/feed-config.ts';
import type { Project } from '../document/types.ts';

const configuredOrigins = (config: PageConfig | undefined): string[] =>
  originsOf([
    ...Object.values(config?.feeds ?? {}).flatMap(({ address }) => address ?? []),
    ...Object.values(config?.sources ?? {}).flatMap(({ base }) => base ?? []),
  ]);

/**
 * The policy of a project's page, for a header, or the page's `meta`. Nothing inline is run or styled.
 *
 * @param config where feeds come from at the place where the page runs.
 */
export const policyOf = (project: Project, config?: PageConfig): string =>
  [
    "default-src 'none'",
    "script-src 'self'",
    "style-src 'self'",
    "font-src 'self'",
    // A picture's address may be worked out, and a person may choose one of their own.
    "img-src 'self' data: blob: https: http:",
    ["connect-src 'self'", ...new Set([...calledOrigins(project, false), ...configuredOrigins(config)])].join(
      ' ',
    ),
    "base-uri 'none'",
    "form-action 'self'",
  ].join('; ');

/**
 * The headers that a server is to send with the page: the policy, and what its elements cannot say.
 *
 * @param early files of fonts that the page begins with. From a server they come beside the page (HTML §4.6.7.19, preload);
 *   an element that asks for them would fail where the page is opened from disk.
 */
export const headersText = (
  project: Project,
  early: readonly string[],
  config?: PageConfig,
): string => `Content-Security-Policy: ${policyOf(project, config)}; frame-ancestors 'self'
X-Content-Type-Options: nosniff
Referrer-Policy: same-origin
${early.map((file) => `Link: <fonts/${file}>; rel=preload; as=font; type=font/woff2; crossorigin\n`).join('')}`;
