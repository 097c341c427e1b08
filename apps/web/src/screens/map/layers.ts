import { useSyncExternalStore } from 'react';

/** What of the map is drawn, in words. */
export const mapLayers = {
  outline: 'Outline',
  sheets: 'Sheets and holes',
  solids: 'Solid things',
  hotRuns: 'Hot pipes',
  movingZones: 'What moves',
  edges: 'Edges',
  mountingLines: 'Mounting lines',
  spaces: 'Cabin, crush and splash',
  lines: 'Fuel lines',
  otherLines: 'Other lines',
  components: 'Parts',
  placements: 'Places',
} as const;
export type MapLayer = keyof typeof mapLayers;
export const layerNames = Object.keys(mapLayers) as MapLayer[];

const KEY = 'brookrain.map.hidden';
const listeners = new Set<() => void>();
const read = (): string => localStorage.getItem(KEY) ?? '';

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The layers that this person has hidden, kept on the device, and how to turn one. */
export function useLayers(): {
  readonly shows: (layer: MapLayer) => boolean;
  readonly turn: (layer: MapLayer, shown: boolean) => void;
} {
  const hidden = useSyncExternalStore(subscribe, read).split(',');
  return {
    shows: (layer) => !hidden.includes(layer),
    turn: (layer, shown) => {
      const next = hidden.filter((name) => name !== '' && name !== layer);
      localStorage.setItem(KEY, (shown ? next : [...next, layer]).join(','));
      listeners.forEach((listener) => listener());
    },
  };
}
