// Jobs live in the browser: there is nothing of them that the server could draw.
export const ssr = false;
