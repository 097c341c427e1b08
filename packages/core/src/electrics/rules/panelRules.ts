import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { ElectricsRule } from '../checked.ts';
import type { PanelDesign } from '../panel/index.ts';

/** Lets a holder go back to where the rules lay it. */
function backInRow({ panelId, layout }: PanelDesign, ids: readonly string[]): Cure<BuildCommand>[] {
  const moved = layout.places.filter(({ item, byHand }) => byHand && ids.includes(item.id));
  return panelId === undefined
    ? []
    : moved.map(({ item }) => ({
        text: `Put ${item.name} back in its row`,
        command: { name: 'remove', path: ['panels', panelId, 'positions', item.id] },
      }));
}

const room: ElectricsRule = {
  id: 'panel.room',
  source: 'no holder overlaps another or overhangs the plate',
  check: ({ panel }) => {
    if (!panel) return [];
    const { layout, panelId } = panel;
    const nameOf = new Map(layout.places.map(({ item }) => [item.id, item.name]));
    const clashes = layout.clashes.map(([a, b]): BuildFinding => ({
      id: `panel.overlap:${a}/${b}`,
      rule: 'panel.room',
      severity: 'stop',
      where: { stage: 'panel' },
      title: 'Two holders overlap on the panel',
      because: `${nameOf.get(a) ?? a} and ${nameOf.get(b) ?? b} overlap on the panel`,
      numbers: {},
      cures: () => backInRow(panel, [a, b]),
    }));
    const outside = layout.outside.map((id): BuildFinding => ({
      id: `panel.outside:${id}`,
      rule: 'panel.room',
      severity: 'stop',
      where: { stage: 'panel' },
      title: 'Holder overhangs the edge of the panel',
      because: `${nameOf.get(id) ?? id} overhangs a plate of {width} by {height}`,
      numbers: {
        width: { value: layout.width, kind: 'length' },
        height: { value: layout.height, kind: 'length' },
      },
      cures: () => {
        const back = backInRow(panel, [id]);
        if (back.length > 0 || panelId === undefined) return back;
        return [
          {
            text: 'Size the plate to its parts',
            command: {
              name: 'set-several',
              label: 'Panel sized to its parts',
              changes: (['width', 'height'] as const).map((side) => ({
                path: ['panels', panelId, side],
                value: null,
              })),
            },
          },
        ];
      },
    }));
    return [...clashes, ...outside];
  },
};

/** Checks of the relay panel. */
export const panelRules = [room];
