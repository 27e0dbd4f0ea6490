import { defaultKeymap, history, historyKeymap } from "@codemirror/commands";
import { highlightSelectionMatches, search, searchKeymap } from "@codemirror/search";
import {
  Annotation,
  EditorState,
  RangeSetBuilder,
  StateEffect,
  StateField,
} from "@codemirror/state";
import {
  Decoration,
  drawSelection,
  EditorView,
  keymap,
  lineNumbers,
  placeholder,
  type DecorationSet,
} from "@codemirror/view";
import { isUnread, type CardPiece } from "$lib/core/shown/cardPieces.ts";

interface Asked {
  readonly value: string;
  readonly label: string;
  readonly hint: string;
  readonly onchange: (text: string) => void;
  /** The words of a line of the kit were clicked. */
  readonly onpick: (line: string) => void;
}

/** What was read of the card, to be shown in its words. */
interface Read {
  readonly rows: readonly (readonly CardPiece[])[];
  readonly isDoubtful: (line: string) => boolean;
}

/** A change that did not come from the keyboard. */
const fromOutside = Annotation.define<boolean>();

const setRead = StateEffect.define<Read>();

/** Words that were read are underlined, doubtful ones wavily; a row of no item is dim. */
const readWords = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(marks, tr) {
    for (const e of tr.effects) if (e.is(setRead)) return marksOf(tr.state, e.value);
    return marks.map(tr.changes);
  },
  provide: (field) => EditorView.decorations.from(field),
});

function marksOf(state: EditorState, { rows, isDoubtful }: Read): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>();
  for (let n = 1; n <= Math.min(rows.length, state.doc.lines); n++) {
    const row = rows[n - 1]!;
    const line = state.doc.line(n);
    if (isUnread(row)) builder.add(line.from, line.from, Decoration.line({ class: "cm-unread" }));
    let at = line.from;
    for (const piece of row) {
      const to = Math.min(line.to, at + piece.text.length);
      if (piece.id !== null && to > at)
        builder.add(
          at,
          to,
          Decoration.mark({
            class: isDoubtful(piece.id) ? "cm-look" : "cm-sure",
            attributes: { "data-line": piece.id },
          }),
        );
      at = to;
    }
  }
  return builder.finish();
}

const theme = EditorView.theme({
  "&": {
    height: "26rem",
    color: "var(--ink)",
    backgroundColor: "var(--sheet)",
    fontSize: "0.9rem",
  },
  "&.cm-focused": { outline: "2px solid var(--ink)" },
  ".cm-scroller": { fontFamily: "ui-monospace, monospace", lineHeight: "1.5" },
  ".cm-content": { caretColor: "var(--ink)" },
  ".cm-cursor": { borderLeftColor: "var(--ink)" },
  "&.cm-focused .cm-selectionBackground, .cm-selectionBackground": {
    backgroundColor: "var(--notebg)",
  },
  ".cm-gutters": {
    backgroundColor: "var(--sheet)",
    color: "var(--soft)",
    borderRight: "1px solid var(--line)",
  },
  ".cm-sure": { textDecoration: "underline 2px var(--pass)", textUnderlineOffset: "4px" },
  ".cm-look": { textDecoration: "underline wavy 2px var(--note)", textUnderlineOffset: "4px" },
  ".cm-unread": { color: "var(--soft)" },
  ".cm-placeholder": { color: "var(--soft)" },
  ".cm-panels": {
    backgroundColor: "var(--sheet)",
    color: "var(--ink)",
    borderColor: "var(--line)",
  },
  ".cm-searchMatch": { backgroundColor: "var(--notebg)", outline: "1px solid var(--note)" },
});

/** The card's text with line numbers, search (Ctrl F) and what was read marked in it. */
export function cardEditor(parent: HTMLElement, asked: Asked) {
  const view = new EditorView({
    parent,
    state: EditorState.create({
      doc: asked.value,
      extensions: [
        lineNumbers(),
        history(),
        drawSelection(),
        search({ top: true }),
        highlightSelectionMatches(),
        // Tab goes on to the next control: nobody is caught in the card.
        keymap.of([...searchKeymap, ...historyKeymap, ...defaultKeymap]),
        placeholder(asked.hint),
        EditorView.lineWrapping,
        EditorView.contentAttributes.of({
          "aria-label": asked.label,
          spellcheck: "false",
          tabindex: "0",
        }),
        readWords,
        theme,
        EditorView.updateListener.of((u) => {
          const own = u.transactions.some((t) => t.docChanged && !t.annotation(fromOutside));
          if (own) asked.onchange(u.state.doc.toString());
        }),
        EditorView.domEventHandlers({
          click: (e) => {
            const line = (e.target as Element).closest<HTMLElement>("[data-line]")?.dataset["line"];
            if (line) asked.onpick(line);
          },
        }),
      ],
    }),
  });
  return {
    /** Another text from outside: undone, read from a picture, imported. */
    set(text: string): void {
      if (view.state.doc.toString() === text) return;
      view.dispatch({
        changes: { from: 0, to: view.state.doc.length, insert: text },
        annotations: fromOutside.of(true),
      });
    },
    show(read: Read): void {
      view.dispatch({ effects: setRead.of(read) });
    },
    focus: () => view.focus(),
    destroy: () => view.destroy(),
  };
}
