import { type CautionPlace, cautionFacts, cautionsAt } from '@brookrain/core';
import { useBuild } from '../build/BuildContext.ts';

/** The cautions of a step, in full, with their own quiet style. */
export function Cautions({ place }: { place: CautionPlace }) {
  const { document } = useBuild();
  const cautions = cautionsAt(place, cautionFacts(document));
  if (cautions.length === 0) return null;
  return (
    <section aria-label="Cautions" className="mt-4">
      <h3>Cautions</h3>
      <ul className="mt-1 space-y-2">
        {cautions.map((caution) => (
          <li
            key={caution.id}
            className="border-l-[3px] border-signal pl-2 text-[13px] leading-[18px]"
          >
            <span className="font-medium">{caution.when}.</span> {caution.text}
          </li>
        ))}
      </ul>
    </section>
  );
}
