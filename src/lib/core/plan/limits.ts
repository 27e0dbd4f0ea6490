/** What a plan must keep to. */
export interface Limits {
  /** In the price book's currency. null: none. */
  readonly budget: number | null;
  readonly massG: number | null;
  readonly volumeMl: number | null;
}
export const NO_LIMITS: Limits = { budget: null, massG: null, volumeMl: null };
/** Whether what is carried is limited, so that lines may have to stay at home. */
export const limitsLoad = (l: Limits): boolean => l.massG !== null || l.volumeMl !== null;
