/** Gives the user a text, or bytes, as a file to save. */
export function offerFile(content: string | Uint8Array, name: string, type = 'application/json') {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
