import type { ReferenceList } from "../core/model/list.ts";
import { SHIPPED_LISTS } from "../data/lists/index.ts";
import { workspace } from "./workspace.svelte.ts";

/** All lists to choose from: the user's own, then the shipped ones. */
export const listsOffered = (): readonly ReferenceList[] => [
  ...workspace.lists.map((r) => r.list),
  ...SHIPPED_LISTS,
];

/** The list as it stands now, by the list's own id: the user's, else a shipped one. */
export const listNow = (listId: string): ReferenceList | undefined =>
  listsOffered().find((l) => l.id === listId);
