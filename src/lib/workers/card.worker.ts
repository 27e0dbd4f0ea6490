import { CardReader } from "./cardReader.ts";
import type { CardAsk, CardSays } from "./protocol.ts";
import { serve } from "./serve.ts";

const reader = new CardReader();
serve<CardAsk, CardSays>((ask, say) => reader.answer(ask, say));
