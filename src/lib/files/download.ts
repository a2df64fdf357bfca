/** Files out of and into the browser. */

export function download(name: string, text: string, type = 'application/json'): void {
  downloadBlob(name, new Blob([text], { type: `${type};charset=utf-8` }));
}

export function downloadBlob(name: string, blob: Blob): void {
  const address = URL.createObjectURL(blob);
  const anchor = document.createElement('a');
  anchor.href = address;
  anchor.download = name;
  anchor.click();
  setTimeout(() => URL.revokeObjectURL(address), 1000);
}

/** A file's name out of a job's: `The old schoolhouse` becomes `the-old-schoolhouse`. */
export function fileName(name: string, ending: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return `${plain || 'job'}.${ending}`;
}

/** The text of a chosen file, or why it was not read. */
export async function readText(
  file: File,
  mostBytes: number
): Promise<{ ok: true; text: string } | { ok: false; why: string }> {
  if (file.size > mostBytes) {
    return {
      ok: false,
      why: `${file.name} has ${(file.size / 1_000_000).toFixed(1)} MB; at most ${mostBytes / 1_000_000} MB are read.`
    };
  }
  return { ok: true, text: await file.text() };
}
