/** What the client declined, as every paper puts it. */
export const declinedSays = (on: string, note: string): string =>
  `Declined by the client on ${on}, told in writing, outside the scope.${note.trim() === '' ? '' : ` “${note.trim()}”`}`;
