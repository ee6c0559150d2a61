/** A file's name after its job, in letters that every system and every header takes: "hollis-street-14-survey.pdf". */
export function fileName(job: string, what: string): string {
  const plain = job
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-zA-Z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
    .slice(0, 60);
  return what.startsWith('roughsill') ? `${plain || 'job'}.${what}` : `${plain || 'job'}-${what}`;
}
