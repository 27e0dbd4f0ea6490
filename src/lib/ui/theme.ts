/** Switches between light and dark and remembers it where the browser allows. */
export function toggleTheme(): void {
  const next = document.documentElement.dataset["theme"] === "dark" ? "light" : "dark";
  document.documentElement.dataset["theme"] = next;
  try {
    localStorage.setItem("wide-sieve.theme", next);
  } catch {
    // Private mode: it holds until the page closes.
  }
}
