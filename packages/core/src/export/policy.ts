/** What a page may do (Content Security Policy 3): run its own script, show its own files and pictures, listen to its feeds. */
import { feedOrigins } from '../document/feed.ts';
import type { Project } from '../document/types.ts';

/** The policy of a project's page, for a header, or the page's `meta`. Nothing inline is run or styled. */
export const policyOf = (project: Project): string =>
  [
    "default-src 'none'",
    "script-src 'self'",
    "style-src 'self'",
    "font-src 'self'",
    // A picture's address may be worked out, and a person may choose one of their own.
    "img-src 'self' data: blob: https: http:",
    ["connect-src 'self'", ...feedOrigins(project.state)].join(' '),
    "base-uri 'none'",
    "form-action 'self'",
  ].join('; ');

/** The headers that a server is to send with the page: the policy, and what a `meta` element cannot say. */
export const headersText = (
  project: Project,
): string => `Content-Security-Policy: ${policyOf(project)}; frame-ancestors 'self'
X-Content-Type-Options: nosniff
Referrer-Policy: same-origin
`;
