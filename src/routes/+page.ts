/** Drawn by the server, so that it reads without scripts; not at build time, so that the headers of every answer come with it. */
export const ssr = true;
