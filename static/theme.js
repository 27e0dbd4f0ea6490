// Before the first paint: the chosen theme, else the system's.
(() => {
  let chosen = null;
  try {
    chosen = localStorage.getItem("wide-sieve.theme");
  } catch {
    // Private mode: the system's theme it is.
  }
  const dark = chosen ? chosen === "dark" : matchMedia("(prefers-color-scheme: dark)").matches;
  document.documentElement.dataset.theme = dark ? "dark" : "light";
})();
