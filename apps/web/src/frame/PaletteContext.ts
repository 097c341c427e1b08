import { createContext, useContext } from 'react';

/** Opens what lies over every page. */
export interface PaletteControl {
  openPalette(): void;
  openHelp(): void;
}

export const PaletteContext = createContext<PaletteControl>({
  openPalette: () => undefined,
  openHelp: () => undefined,
});

export const usePalette = (): PaletteControl => useContext(PaletteContext);
