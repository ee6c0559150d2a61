/** A word or a sentence as it begins; the measure pH keeps its small letter. */
export const cap = (s: string): string => (s.startsWith('pH') ? s : s.charAt(0).toUpperCase() + s.slice(1));
