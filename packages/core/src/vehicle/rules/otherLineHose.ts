import { lookUp, newestOf, refOf } from '../../catalogue/index.ts';
import type { BuildFinding } from '../../model/index.ts';
import type { VehicleRule } from '../checked.ts';
import { lineClasses, refusedHose } from '../otherLines/lineClasses.ts';

const inWords = (key: string): string => key.replaceAll('-', ' ');

/** A line whose hose is not made for what runs in it. */
export const otherLineHose: VehicleRule = {
  id: 'other.hose',
  source:
    'each line has its own class of pressure and temperature: power steering needs hydraulic hose, hot oil suction a hose that does not collapse',
  check: ({ vehicle, catalogue }) =>
    vehicle.otherLines.flatMap((line): BuildFinding[] => {
      const hose = line.item && lookUp(catalogue, 'hose', line.item, line.id);
      const reason = hose ? refusedHose(line.use, hose) : undefined;
      if (!hose || reason === undefined) return [];
      const { pressure } = lineClasses[line.use];
      const others = newestOf(catalogue, 'hose').filter(
        (each) => refusedHose(line.use, each) === undefined,
      );
      const near = [...others].sort(
        (a, b) => Math.abs(a.bore - hose.bore) - Math.abs(b.bore - hose.bore) || a.price - b.price,
      )[0];
      return [
        {
          id: `other.hose:${line.id}`,
          rule: 'other.hose',
          severity: 'stop',
          where: { stage: 'map', line: line.id },
          title: 'Wrong hose for this line',
          because: `${line.name} (${inWords(line.use)}): ${hose.designation} will not do: ${reason}. It is rated {rating}; the line sees {pressure}`,
          numbers: {
            rating: { value: hose.pressureRating, kind: 'pressure' },
            pressure: { value: pressure, kind: 'pressure' },
          },
          cures: () =>
            near
              ? [
                  {
                    text: `Take ${near.designation}`,
                    command: {
                      name: 'set',
                      path: ['otherLines', line.id, 'item'],
                      value: refOf(near),
                    },
                  },
                ]
              : [{ text: 'Use a hose or cable made for it; the catalogue has none' }],
        },
      ];
    }),
};
