/** What is typed into the cells of a sheet: a letter touches the cell that it goes into, and no other, however many there are. */
import type { Spot } from './grid-keys';

class Cell {
  text: string | null = $state(null);
}

export class Typing {
  readonly #cells: Record<string, Cell> = {};
  #open: Cell | null = null;

  /** What is being typed, wherever that is; null where nothing is. */
  get text(): string | null {
    return this.#open?.text ?? null;
  }

  /** What is being typed in this cell; null where nothing is. */
  in({ row, column }: Spot): string | null {
    return this.#cell(`${row}-${column}`).text;
  }

  /** Types in this cell, and in no other; null ends it. */
  put({ row, column }: Spot, text: string | null): void {
    const cell = this.#cell(`${row}-${column}`);
    if (this.#open && this.#open !== cell) this.#open.text = null;
    cell.text = text;
    this.#open = text === null ? null : cell;
  }

  #cell(key: string): Cell {
    return (this.#cells[key] ??= new Cell());
  }
}
