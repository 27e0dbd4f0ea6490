/** What a report is made of, before it is Markdown, a page or a PDF. */
export type Block =
  | { readonly kind: "heading"; readonly level: 1 | 2 | 3; readonly text: string }
  | { readonly kind: "text"; readonly text: string; readonly strong?: boolean }
  | { readonly kind: "list"; readonly items: readonly string[] }
  | {
      readonly kind: "table";
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
      /** Share of the width of each column; absent: by what is in them. */
      readonly widths?: readonly number[];
    }
  | { readonly kind: "facts"; readonly rows: readonly (readonly [string, string])[] }
  | {
      readonly kind: "picture";
      readonly svg: string;
      readonly width: number;
      readonly height: number;
      readonly alt: string;
    }
  | {
      readonly kind: "photos";
      readonly items: readonly { readonly dataUrl: string; readonly caption: string }[];
    }
  | { readonly kind: "new-page" };
