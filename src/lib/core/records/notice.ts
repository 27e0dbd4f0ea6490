/** What the user is told of other windows, of undo and of the storage. */
export interface Notice {
  readonly code:
    /** Both changed the same thing: theirs is in place, mine is kept as `copy`. */
    | "kept-copy"
    /** Removed elsewhere while it was changed here: it is back. */
    | "came-back"
    /** Removed here while it was changed elsewhere: it stays. */
    | "stays"
    /** A step cannot be undone: another window changed the same thing since. */
    | "undo-blocked"
    /** The browser's storage was emptied while in use: all that is on screen is written again. */
    | "storage-emptied"
    /** A kit whose brief was gone got an empty one. */
    | "brief-missing";
  readonly id: string;
  readonly copy?: string;
}
