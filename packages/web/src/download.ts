/** Files that the person gets, the way the browser does with downloads. */

/** What lies at an address of this server, or of the browser's own. */
export function downloadFrom(address: string, name: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
}

export function download(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  downloadFrom(address, name);
  // It has to be there until the browser has begun to write it.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
