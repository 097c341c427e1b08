import { figureNames } from '../../results/index.ts';

/** Figures of parts where they sit, and of what holds them. */
export const componentFigure = figureNames({
  'component.clearance': 'component.{component}.clearance',
  'component.margin': 'component.{component}.margin',
  'component.lowest': 'component.{component}.lowest',
  'fixing.blankLength': 'fixing.{component}.blankLength',
  'fixing.blankWidth': 'fixing.{component}.blankWidth',
  'fixing.boltLength': 'fixing.{component}.boltLength',
  'fixing.boltPitch': 'fixing.{component}.boltPitch',
  'fixing.boltLoad': 'fixing.{component}.boltLoad',
  'fixing.mass': 'fixing.{component}.mass',
  'fixing.reach': 'fixing.{component}.reach',
});
