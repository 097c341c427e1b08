import { firstOf } from '../numerics/index.ts';
import { type BuildDocument, type PumpElement, readBuild, writeBuild } from '../model/index.ts';
import { type Catalogue, refOf } from '../catalogue/index.ts';
import { applyCommand } from './commands/applyCommand.ts';
import { layOutAs, suctionHead, vapourInRun } from '../fuel/index.ts';
import { endsOfOpenLines } from '../plumbing/index.ts';
import { quantity as q } from '../quantities/index.ts';
import { type Evaluator, createEvaluator } from './evaluate.ts';
import { PUMP_OUTSIDE, rawBuild } from './rawBuild.ts';
import type { StartAnswers } from './startSpec.ts';

/** A first design, with what was proposed in plain words. */
export interface StartedBuild {
  readonly document: BuildDocument;
  readonly proposed: readonly string[];
}

/** How many cures a start takes over before it leaves the rest to the person. */
const MOST_CURES = 8;

/** Rules that say that fuel boils before it is under pressure. */
const boilingRules: ReadonlySet<string> = new Set([suctionHead.id, vapourInRun.id]);

/** The same build regulated before the rail, where only its fuel would boil otherwise. */
function regulatedBeforeRail(
  document: BuildDocument,
  catalogue: Catalogue,
  { evaluate }: Evaluator,
): BuildDocument | undefined {
  const boils = (build: BuildDocument): boolean =>
    evaluate(build, catalogue).findings.some(
      (f) => f.severity === 'stop' && boilingRules.has(f.rule),
    );
  const build = readBuild(document);
  const circuit = firstOf(build.fuelCircuits);
  if (circuit.architecture !== 'return-after-rail' || !boils(document)) return undefined;
  const next = applyCommand(
    document,
    layOutAs({
      document: build,
      circuitId: circuit.id,
      architecture: 'return-before-rail',
      catalogue,
    }),
  ).document;
  return boils(next) ? undefined : next;
}

/** The pump of the first circuit, where it stands outside of the tank. */
const pumpOutside = (document: BuildDocument): PumpElement | undefined =>
  firstOf(readBuild(document).fuelCircuits).elements.find(
    (e): e is PumpElement => e.kind === 'pump' && e.mounting === 'external',
  );

/** Puts a pump that a layout took out of the tank beside it. */
function outsideTank(document: BuildDocument): BuildDocument {
  const place = document.placements['pump'];
  if (!pumpOutside(document) || !place) return document;
  const [x, y, z] = PUMP_OUTSIDE;
  const mm = (metres: number) => q(1000 * metres, 'length', 'mm');
  return {
    ...document,
    placements: { ...document.placements, pump: { ...place, x: mm(x), y: mm(y), z: mm(z) } },
  };
}

/**
 * A first design from a few answers: the usual circuit for this engine, the smallest injector and
 * pump that fit, and one-click cures of what still stops. Everything proposed is said, and can be
 * changed. Throws NotFound when the catalogue lacks the usual parts.
 */
export function startBuild(answers: StartAnswers, catalogue: Catalogue): StartedBuild {
  // What one proposal leaves as it was need not be worked out for the next.
  const evaluator = createEvaluator();
  const evaluate = (of: BuildDocument) => evaluator.evaluate(of, catalogue);
  const raw = rawBuild(answers, catalogue);
  let document = writeBuild(raw);
  const proposed = [
    firstOf(raw.fuelCircuits).architecture === 'return-at-tank'
      ? 'In-tank pump with a filter-regulator at the tank and one line forward'
      : 'Circuit with the regulator after the rail and a return to the tank',
  ];
  const injector = evaluate(document).candidates.injectors()['primary']?.[0];
  if (injector && injector.verdict !== 'does not fit') {
    document = applyCommand(document, {
      name: 'choose-injector',
      rowId: 'primary',
      item: refOf(injector.item),
    }).document;
    proposed.push(`${answers.cylinders} injectors ${injector.item.designation}`);
  }
  const pump = evaluate(document).candidates.pumps()['pump']?.[0];
  if (pump && pump.verdict !== 'does not fit') {
    document = applyCommand(document, {
      name: 'choose-part',
      circuitId: 'main',
      elementId: 'pump',
      item: refOf(pump.item),
    }).document;
    proposed.push(`Pump ${pump.item.designation}`);
  }
  const cooler = regulatedBeforeRail(document, catalogue, evaluator);
  if (cooler) {
    document = outsideTank(cooler);
    proposed[0] =
      'Circuit with the regulator before the rail and a return to the tank: the engine’s heat stays out of it';
    const outside = pumpOutside(document);
    if (outside && answers.pumpMounting === 'in-tank') {
      proposed.push(`The pump stands outside of the tank there: ${outside.item.id}`);
    }
  }
  const changes = endsOfOpenLines(evaluate(document).made, catalogue);
  if (changes.length > 0) {
    document = applyCommand(document, {
      name: 'set-several',
      label: 'Ends of the lines',
      changes,
    }).document;
    proposed.push('Ends and adapters for every line, from the catalogue');
  }
  for (let n = 0; n < MOST_CURES; n++) {
    const stop = evaluate(document).findings.find(
      (f) => f.severity === 'stop' && f.cures().some((c) => c.command),
    );
    const cure = stop?.cures().find((c) => c.command);
    if (!stop || !cure?.command) break;
    const next = applyCommand(document, cure.command).document;
    const gone = !evaluate(next).findings.some((f) => f.id === stop.id);
    if (!gone) break;
    document = next;
    proposed.push(`${cure.text} (${stop.title.toLowerCase()})`);
  }
  return { document, proposed };
}
