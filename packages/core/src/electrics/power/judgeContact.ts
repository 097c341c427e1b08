import type { RelayItem } from '../../catalogue/index.ts';

/** What a relay's contact has to carry, A: all together, and the motors alone. */
export interface ContactLoad {
  readonly total: number;
  readonly motors: number;
}

/** A rating A of a contact beside what it has to be for a load, A. */
export interface ContactJudgement {
  readonly of: 'contact' | 'motors';
  readonly rating: number;
  readonly needed: number;
}

/** What is solved is known so well: a rating that is just enough is enough. */
const SOLVED_TO = 1e-6;

/** A contact is rated so many times what it carries. */
export const CONTACT_RESERVE = 1.25;

/** What a contact is rated for where it switches motors, A: for all, where its maker gives no more. */
export const motorRatingOf = ({
  motorRating,
  contactRating,
}: Pick<RelayItem, 'motorRating' | 'contactRating'>): number =>
  motorRating > 0 ? Math.min(motorRating, contactRating) : contactRating;

/** The rating of a relay's contact that is too small for a load, the worse first; undefined: none. */
export function judgeContact(
  relay: Pick<RelayItem, 'motorRating' | 'contactRating'>,
  load: ContactLoad,
): ContactJudgement | undefined {
  const judged: readonly ContactJudgement[] = [
    { of: 'motors', rating: motorRatingOf(relay), needed: CONTACT_RESERVE * load.motors },
    { of: 'contact', rating: relay.contactRating, needed: CONTACT_RESERVE * load.total },
  ];
  return judged
    .filter(({ rating, needed }) => rating < needed * (1 - SOLVED_TO))
    .sort((a, b) => b.needed / b.rating - a.needed / a.rating)[0];
}
