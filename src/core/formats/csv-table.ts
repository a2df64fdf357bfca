/** A table as CSV with a header, read with names as they are compared; a name that stands twice is kept apart and told. */
import Papa from 'papaparse';

export interface CsvTable {
  readonly fields: readonly string[];
  /** Names that stand more than once in the header: which of them is meant nobody knows. */
  readonly doubled: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
  /** Faults of the reader; `row` counts from 0 below the header. */
  readonly errors: readonly { readonly row?: number | undefined; readonly message: string }[];
}

export function readCsv(text: string): CsvTable {
  const names: string[] = [];
  const { data, meta, errors } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head, at) => {
      const name = head.trim().toLowerCase();
      names[at] = name;
      const before = names.slice(0, at).filter((other) => other === name).length;
      return before === 0 ? name : `${name} (${before + 1})`;
    }
  });
  const doubled = names.filter((name, at) => names.indexOf(name) < at);
  return { fields: meta.fields ?? [], doubled: [...new Set(doubled)], rows: data, errors };
}

/** A cell that begins like a formula is shown by a spreadsheet, not run. */
export function guarded(cell: string): string {
  return /^'*[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
}
