export interface GuideSection {
  readonly id: string;
  readonly title: string;
  readonly text: string;
}

const idOf = (title: string): string => title.toLowerCase().replace(/[^a-z0-9]+/g, '-');

/** The sections of the guide by its second-level headings; what stands before them is left out. */
export function guideSections(guide: string): GuideSection[] {
  return guide
    .split(/^## /m)
    .slice(1)
    .map((part) => {
      const [title = '', ...rest] = part.split('\n');
      return { id: idOf(title), title: title.trim(), text: rest.join('\n').trim() };
    });
}
