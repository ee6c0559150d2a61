/** 128 random bits. Not crypto.randomUUID: a phone that reaches the office machine over plain http does not have it. */
export const newId = (): string => Array.from(crypto.getRandomValues(new Uint8Array(16)), (b) => b.toString(16).padStart(2, '0')).join('');
