import type { BuildCommand, BuildFinding } from '../../model/index.ts';
import type { Cure } from '../../results/index.ts';
import type { HarnessChecked, HarnessRule } from '../checked.ts';
import { busNodes, proposedSplices, spliceRooms } from '../proposals/proposedSplices.ts';
import { freeStretches } from '../topology/spliceSites.ts';
import { inSegment } from './onBundles.ts';

/** What puts a splice where its wires are shortest. */
function placed(
  { led, decidedHarness, electrics }: HarnessChecked,
  splice: { readonly id: string; readonly name: string },
): Cure<BuildCommand>[] {
  const only = new Set([splice.id]);
  const sites = proposedSplices({ led, harness: decidedHarness, electrics, only });
  const site = sites[splice.id];
  const name = decidedHarness.segments.find(({ id }) => id === site?.segmentId)?.name;
  if (!site || name === undefined) return [];
  const percent = Math.round(site.share * 1e4) / 100;
  return [
    {
      text: `Move it into “${name}”, ${Math.round(percent)} % along it: least copper`,
      command: {
        name: 'set',
        path: ['harness', 'splices', splice.id],
        value: { segmentId: site.segmentId, share: { value: site.share, unit: '%' } },
      },
    },
  ];
}

/** Splices that sit nowhere yet, beside a plug, in a bend, or in a segment that is not there. */
export const spliceSite: HarnessRule = {
  id: 'splice.site',
  source: 'never in a bend or within 100 mm of a connector, and where least copper is used',
  check: (checked) => {
    const { led, decidedHarness, electrics } = checked;
    if (led.segments.length === 0) return [];
    const ledWires = new Set(led.wires.map(({ wireId }) => wireId));
    const reached = new Set(
      electrics.netlist.wires.flatMap(({ id, from, to }) =>
        ledWires.has(id) ? [from.node, to.node] : [],
      ),
    );
    const onBus = busNodes(electrics.netlist);
    const sites = new Map(decidedHarness.splices.map((site) => [site.spliceId, site]));
    const rooms = new Map(spliceRooms(led).map((room) => [room.id, room]));
    return electrics.netlist.parts.flatMap((part): BuildFinding[] => {
      if (part.sort !== 'splice' || !part.pins.some(({ node }) => reached.has(node))) return [];
      const site = sites.get(part.id);
      // A bus that goes on to the next node is crimped twice into its plug: no stub at all.
      if (!site && part.pins.every(({ node }) => onBus.has(node))) return [];
      const room = site && rooms.get(site.segmentId);
      const at = site && room ? site.share.value * room.length : 0;
      const free = room && freeStretches(room).some(([a, b]) => at >= a - 1e-4 && at <= b + 1e-4);
      if (free) return [];
      return [
        {
          id: `splice.site:${part.id}`,
          rule: 'splice.site',
          severity: 'warn',
          where: room ? inSegment(room.id) : { stage: 'harness' },
          title: room ? 'Splice is badly placed' : 'Splice has no place in the harness',
          because: room
            ? `${part.name} is in a bend, within 100 mm of a connector, or at a breakout`
            : `${part.name} is assumed to be at its connector, where it would pull on the contacts`,
          numbers: {},
          cures: () => {
            const found = placed(checked, part);
            return found.length > 0 ? found : [{ text: 'Make a straight section for it' }];
          },
        },
      ];
    });
  },
};
