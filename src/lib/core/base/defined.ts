/** The object without the keys whose value is undefined: as JSON would have it. */
export const defined = <T extends object>(given: T) =>
  Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined)) as {
    [K in keyof T]: Exclude<T[K], undefined>;
  };
