import {
  type Catalogue,
  type PlugPartForm,
  type PlugPartItem,
  newestOf,
} from '../../catalogue/index.ts';

/** Contacts of relays and fuses in their sockets. */
export const HOLDER_FAMILY = 'blade 6.3';

/** The plug parts of a catalogue, by what is asked of them. */
export class PlugShelf {
  private readonly items: readonly PlugPartItem[];

  constructor(catalogue: Catalogue) {
    this.items = newestOf(catalogue, 'plug-part');
  }

  private of(form: PlugPartForm, family?: string): readonly PlugPartItem[] {
    return this.items.filter(
      (item) => item.form === form && (family === undefined || item.plugFamily === family),
    );
  }

  has(form: PlugPartForm, family: string): boolean {
    return this.of(form, family).length > 0;
  }

  any(form: PlugPartForm, family: string): PlugPartItem | undefined {
    return this.of(form, family)[0];
  }

  housing(family: string, ways: number): PlugPartItem | undefined {
    return this.of('housing', family)
      .filter((item) => item.ways >= ways)
      .sort((a, b) => a.ways - b.ways)[0];
  }

  /** What takes a conductor, the closest first. */
  forArea(form: PlugPartForm, area: number, family?: string): PlugPartItem | undefined {
    return this.of(form, family)
      .filter((item) => item.areaMin <= area + 1e-12 && area <= item.areaMax + 1e-12)
      .sort((a, b) => a.areaMax - b.areaMax)[0];
  }

  /** What closes round a diameter, the closest first. */
  round(form: PlugPartForm, diameter: number, family?: string): PlugPartItem | undefined {
    return this.of(form, family)
      .filter((item) => item.holdsMin <= diameter + 1e-9 && diameter <= item.holdsMax + 1e-9)
      .sort((a, b) => a.holdsMax - b.holdsMax)[0];
  }
}
