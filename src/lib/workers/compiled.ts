/** The solver's code between a page and its planners: once compiled, the next of them begins with it. */
export interface Compiled {
  readonly compiled: WebAssembly.Module;
}
export const isCompiled = (data: unknown): data is Compiled =>
  typeof data === "object" && data !== null && "compiled" in data;
