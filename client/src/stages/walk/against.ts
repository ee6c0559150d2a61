import { SurfaceFields } from '@roughsill/core';

/** What a field's schema has against a value, in its own words. */
export const against =
  (field: keyof typeof SurfaceFields.shape) =>
  (value: unknown): string | undefined => {
    const r = SurfaceFields.shape[field].safeParse(value);
    return r.success ? undefined : r.error.issues[0]?.message;
  };
