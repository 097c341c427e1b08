import type { Column, SheetPage } from '../exports/sheetPage.ts';

/** A sheet that keeps what is written on it. */
export class RecordedSheet implements Pick<
  SheetPage,
  'title' | 'heading' | 'text' | 'caution' | 'table' | 'drawing' | 'nextPage' | 'finish'
> {
  drawings = 0;
  pages = 1;
  readonly said: string[] = [];
  readonly tables: { columns: readonly Column[]; rows: readonly (readonly string[])[] }[] = [];
  finished = false;
  title(text: string, below: string): void {
    this.said.push(text, below);
  }
  heading(text: string): void {
    this.said.push(text);
  }
  text(text: string): void {
    this.said.push(text);
  }
  caution(when: string, text: string): void {
    this.said.push(`${when}. ${text}`);
  }
  table(columns: readonly Column[], rows: readonly (readonly string[])[]): void {
    this.tables.push({ columns, rows });
  }
  nextPage(): void {
    this.pages += 1;
  }
  drawing(): void {
    this.drawings += 1;
  }
  finish(): void {
    this.finished = true;
  }
}
