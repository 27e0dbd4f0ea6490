import { CATALOGUE } from "$lib/data/catalogue.ts";
import { vocabularyOf } from "$lib/core/card/vocabulary.ts";
import { json, type RequestHandler } from "@sveltejs/kit";
import { cardResult, cardTextProblem } from "$lib/core/card/cardText.ts";
import { readCard } from "$lib/core/card/readCard.ts";
import { bodyText, refuse } from "$lib/server/api.ts";

/** Text in, entries out. */
export const POST: RequestHandler = async ({ request }) => {
  const read = await bodyText(request);
  if (!read.ok) return refuse(read.status ?? 400, "the card was not taken", read.problems);
  const wrong = cardTextProblem(read.value);
  return wrong
    ? refuse(422, "this is not a card", [wrong])
    : json(cardResult(readCard(read.value, vocabularyOf(CATALOGUE))));
};
export const fallback: RequestHandler = () => refuse(405, "POST the text of a card");
