/** Colours in which wire is sold. */
export const wireColours = [
  'black',
  'red',
  'blue',
  'green',
  'yellow',
  'white',
  'brown',
  'orange',
  'violet',
  'grey',
  'pink',
] as const;
export type WireColour = (typeof wireColours)[number];
