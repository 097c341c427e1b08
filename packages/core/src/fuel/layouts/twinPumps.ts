import type { FuelCircuit } from '../../model/index.ts';
import {
  type CircuitPartChoices,
  draftCircuit,
  draftFineFilter,
  draftRails,
  draftReturn,
  draftSuction,
} from './circuitDraft.ts';

/** Two pumps side by side to a Y-block, each with its check valve; one or two rails. */
export function twinPumps(parts: CircuitPartChoices): FuelCircuit {
  const draft = draftCircuit(parts);
  const coarse = draftSuction(draft, parts);
  const pumped = draft.node('pumped', 'pump');
  for (const which of [1, 2] as const) {
    const place = which === 2 ? 'pump-2' : 'pump';
    const pumpIn = draft.node(`pump-in-${which}`, place);
    const pumpOut = draft.node(`pump-out-${which}`, place);
    const yIn = draft.node(`y-in-${which}`, 'pump');
    const suffix = which === 2 ? '-2' : '';
    const words = which === 2 ? 'Second' : 'First';
    const leg = draft.node(`suction-leg-${which}`, 'coarse-filter');
    draft.fitting(
      `inlet-y-${which}`,
      `Y-block, ${words.toLowerCase()} pump inlet`,
      [coarse, leg],
      parts.inletYBlock,
    );
    draft.line(
      `pump-inlet-${which}`,
      `${words} pump inlet hose`,
      'suction',
      [leg, pumpIn],
      parts.pumpInlet,
    );
    draft.pump(`pump${suffix}`, `${words} pump`, [pumpIn, pumpOut], {
      item: parts.pump,
      mounting: parts.mounting,
    });
    draft.line(
      `pump-hose-${which}`,
      `${words} pump outlet hose`,
      'feed',
      [pumpOut, yIn],
      parts.branch,
    );
    draft.fitting(
      `pump-y-${which}`,
      `Y-block, ${words.toLowerCase()} pump`,
      [yIn, pumped],
      parts.yBlock,
    );
  }
  const filtered = draftFineFilter(draft, parts, pumped);
  draftReturn(
    draft,
    parts,
    draftRails(draft, parts, filtered),
    draft.node('tank-return', 'tank-return'),
  );
  return draft.finish('twin-pumps');
}
