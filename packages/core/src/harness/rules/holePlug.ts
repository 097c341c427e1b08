import type { BuildFinding } from '../../model/index.ts';
import { holeOpenedTo } from '../../vehicle/index.ts';
import { plugDiameter } from '../connectors/plugSize.ts';
import { harnessFigure } from '../figureNames.ts';
import type { HarnessRule } from '../checked.ts';
import { inSegment } from './onBundles.ts';

/** A hole that takes its looms, but not its connector, or the largest plug that has to be put through. */
export const holePlug: HarnessRule = {
  id: 'hole.plug',
  source:
    'connectors are passed through before their sleeves are closed, or fitted after; a bulkhead connector fills its hole',
  check: ({ harness, vehicle, results, electrics }) =>
    harness.holes.flatMap((hole): BuildFinding[] => {
      const [segmentId] = hole.segments;
      const needed = results.find(harnessFigure('passThrough.bore', { passThrough: hole.id }));
      const plug = hole.largestPlug;
      const connector = electrics.netlist.parts.find(({ id }) => id === hole.connectorId);
      const what = connector ?? plug;
      if (!what || !needed || segmentId === undefined || hole.bore >= needed.value) return [];
      return [
        {
          id: `hole.plug:${hole.id}`,
          rule: 'hole.plug',
          severity: connector ? 'warn' : 'note',
          where: inSegment(segmentId),
          title: connector
            ? 'Connector does not fit its hole'
            : 'Connector does not pass through its hole',
          because: connector
            ? `“${hole.name}” in ${hole.sheet.toLowerCase()} is {bore} wide; ${connector.name.toLowerCase()} needs about {plug}`
            : `“${hole.name}” in ${hole.sheet.toLowerCase()} is {bore} wide; the connector of ${what.name.toLowerCase()} is about {plug}: pass its wires through first and fit the connector after`,
          numbers: {
            bore: { value: hole.bore, kind: 'length' },
            plug: { value: plug ? plugDiameter(plug) : needed.value, kind: 'length' },
          },
          measured: { value: hole.bore, kind: 'length' },
          limit: { value: needed.value, kind: 'length' },
          worse: 'lower',
          cures: () => [
            ...holeOpenedTo(vehicle.sheets, hole.id, needed.value),
            ...(connector ? [] : [{ text: 'Fit the connector after its wires are through' }]),
          ],
        },
      ];
    }),
};
