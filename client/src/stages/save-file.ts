/** Hands a file to the browser's own "save as". */
export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = Object.assign(document.createElement('a'), { href: url, download: name });
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

export const saveFile = (name: string, text: string, type = 'application/json'): void => saveBlob(name, new Blob([text], { type }));
