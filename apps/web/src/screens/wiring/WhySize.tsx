interface WhySizeProps {
  /** what the next smaller size fails; empty where a person chose, or there is none */
  decidedBy: readonly string[];
  noSizePasses: boolean;
  chosenByHand: boolean;
}

/** Why a wire that the rules sized is no thinner. */
export function WhySize({ decidedBy, noSizePasses, chosenByHand }: WhySizeProps) {
  if (chosenByHand || (!noSizePasses && decidedBy.length === 0)) return null;
  return (
    <p className="mt-1 text-[13px] text-second">
      {noSizePasses
        ? 'No size in the catalogue passes everything: this one is the least wrong.'
        : `Decided by ${decidedBy.join(', ')}: the next smaller size fails there.`}
    </p>
  );
}
