import { type BuildCommand, type BuildDocument, outlineOf, readBuild } from '@brookrain/core';

const millimetres = (value: number) => ({ value: Number(value.toFixed(3)), unit: 'mm' });

/** Puts the generated outline in the build as points, so that each can be corrected. */
export const outlineChange = (document: BuildDocument): BuildCommand => ({
  name: 'set-several',
  label: 'Correct the outline point by point',
  changes: [
    {
      path: ['vehicle', 'outline'],
      value: Object.fromEntries(
        outlineOf(readBuild(document).vehicle).map(({ x, z }, i) => [
          `p${i + 1}`,
          { order: 1000 * (i + 1), x: millimetres(x), z: millimetres(z) },
        ]),
      ),
    },
  ],
});
