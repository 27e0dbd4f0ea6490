import { demo, isFirstVisit } from "$lib/state/firstVisit.ts";

// This comes before any page: the demo of a first visit is on its way with them, not after them.
if (isFirstVisit()) void demo();
