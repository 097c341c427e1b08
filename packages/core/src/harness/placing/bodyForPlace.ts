import { type Catalogue, hasBody, itemAt } from '../../catalogue/index.ts';
import type { PanelDesign } from '../../electrics/index.ts';
import type { Device } from '../../model/index.ts';
import type { PlacedComponent } from '../../vehicle/index.ts';
import type { PlaceWish } from './findPlaces.ts';

type Body = PlaceWish['body'];

/** How deep relays stand on their plate with wires behind, and room to reach them, m. */
const PANEL_DEPTH = 0.08;
const PANEL_REACH = 0.1;
/** Of what nobody knows the size: a small box, m. */
const UNKNOWN: Body = {
  bodyLength: 0.08,
  bodyWidth: 0.08,
  bodyHeight: 0.05,
  serviceRoom: 0.05,
  splashProof: false,
  servicedFrom: 'top',
};

/** How much room what sits at a place takes: as the catalogue says, as its plate is wide, or a small box. */
export function bodyForPlace(input: {
  readonly placementId: string;
  readonly components: readonly PlacedComponent[];
  readonly devices: readonly Device[];
  readonly panel: Pick<PanelDesign, 'placementId' | 'layout'> | undefined;
  readonly catalogue: Catalogue;
}): Body {
  const { placementId, components, devices, panel, catalogue } = input;
  const component = components.find(({ placement }) => placement.id === placementId);
  if (component) return { ...component.item, servicedFrom: component.servicedFrom };
  if (panel?.placementId === placementId) {
    const { width, height } = panel.layout;
    return {
      ...UNKNOWN,
      bodyLength: width,
      bodyWidth: height,
      bodyHeight: PANEL_DEPTH,
      serviceRoom: PANEL_REACH,
    };
  }
  for (const { part, placementId: at } of devices) {
    if (at !== placementId || part.kind !== 'item') continue;
    const item = itemAt(catalogue, part.item);
    if (item?.category === 'device' && hasBody(item)) return item;
  }
  return UNKNOWN;
}
