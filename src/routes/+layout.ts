// Everything a user has lives in the browser: the server gives the shell, the browser the rest.
export const ssr = false;
export const prerender = false;
