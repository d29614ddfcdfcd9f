/** Lets the person choose one file; null when they change their mind. */
export function chooseFile(accept: string): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.addEventListener('change', () => resolve(input.files?.[0] ?? null));
    input.addEventListener('cancel', () => resolve(null));
    input.click();
  });
}

/** Saves bytes made here under a name. */
export function saveFile(file: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(file);
  link.download = name;
  link.click();
  // The browser needs the address a moment longer than the click.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

/** Saves what an address answers, under the name the server gives it. */
export function saveFrom(path: string): void {
  const link = document.createElement('a');
  link.href = path;
  link.download = '';
  link.click();
}
