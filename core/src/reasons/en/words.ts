/** What a rule says. `{asked}` is the fact found, `{asked.limit}` its limit. */
export interface Words {
  readonly says: string;
  /** What would remove the obstacle. */
  readonly lifts?: string;
}
