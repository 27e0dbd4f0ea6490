import { render } from "svelte/server";
import StartShell from "$lib/ui/StartShell.svelte";
import type { Handle, HandleServerError } from "@sveltejs/kit";
import { refuse } from "$lib/server/api.ts";

/** Headers beside the content security policy, which SvelteKit sets with its nonces. */
const HEADERS = {
  "x-content-type-options": "nosniff",
  "referrer-policy": "no-referrer",
  "permissions-policy": "camera=(self), serial=(self), geolocation=(), microphone=()",
  "cross-origin-opener-policy": "same-origin",
  "cross-origin-resource-policy": "same-origin",
  "x-frame-options": "DENY",
} as const;

/** Where a newcomer begins, as app.html shows it before the program is there. */
const START = render(StartShell).body;

export const handle: Handle = async ({ event, resolve }) => {
  let response: Response;
  try {
    response = await resolve(event, {
      transformPageChunk: ({ html }) => html.replace("%start%", START),
    });
  } catch (error) {
    if (!event.url.pathname.startsWith("/api/")) throw error;
    response = refuse(500, "the server could not finish this");
  }
  for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
  return response;
};

export const handleError: HandleServerError = ({ error, status }) => {
  if (status !== 404) console.error(error);
  return {
    message: status === 404 ? "There is no such page." : "The server could not finish this.",
  };
};
