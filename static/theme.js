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

// While the program is on its way the browser gets its number and day formats ready: the first of each takes
// tens of milliseconds, which the first page would wait for.
setTimeout(() => {
  new Intl.NumberFormat(navigator.language, { style: "currency", currency: "EUR" }).format(1);
  new Intl.DateTimeFormat(navigator.language, { dateStyle: "medium" }).format(0);
  "a".localeCompare("b");
});
