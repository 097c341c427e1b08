import type { FittingForm, FittingItem } from '../../catalogue/index.ts';

/** Everything of a fitting that no other is told by default. */
type More = Partial<Omit<FittingItem, 'category' | 'id' | 'revision' | 'designation' | 'form'>>;

/** A fitting of the shipped catalogue: bore in mm; what nobody says of it is left open. */
export const fitting = (
  id: string,
  designation: string,
  form: FittingForm,
  [boreMm, lossCoefficient, price]: readonly [bore: number, loss: number, price: number],
  more: More = {},
): FittingItem => ({
  category: 'fitting',
  id,
  revision: 1,
  designation,
  // Hangers are listed with the other outlets of a tank.
  family: form === 'in-tank hanger' ? 'tank outlet' : form,
  mass: 0.03,
  price,
  interchange: form === 'in-tank hanger' ? 'tank outlet' : form,
  form,
  bore: boreMm / 1e3,
  lossCoefficient,
  pressureRating: 3e6,
  firstPort: 'none',
  secondPort: 'none',
  joint: 'none',
  holds: 'none',
  dash: 0,
  hoseBore: 0,
  angle: 0,
  cutOff: 0,
  standing: 0,
  torque: 0,
  swivels: true,
  earClamp: 'allowed',
  ...more,
});

/** Bore mm of fittings in a dash size: less than the hose they sit on. */
export const dashBores: readonly (readonly [dash: number, mm: number])[] = [
  [4, 4.4],
  [6, 7.2],
  [8, 9.4],
  [10, 12],
  [12, 15],
  [16, 20],
];

/** Torque N·m of aluminium nuts and O-ring bodies by dash size. */
export const dashTorque: Readonly<Record<number, number>> = {
  4: 14,
  5: 16,
  6: 20,
  8: 34,
  10: 44,
  12: 60,
  16: 80,
};

/** Millimetres of a whole number of tenths. */
export const mm = (value: number): number => Number((value / 1e3).toFixed(4));
