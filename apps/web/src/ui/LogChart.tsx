import {
  Chart,
  Legend,
  LineElement,
  LogarithmicScale,
  PointElement,
  ScatterController,
} from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import { useTheme } from './preferences.ts';

Chart.register(ScatterController, LogarithmicScale, LineElement, PointElement, Legend);

/** Tones of the page that a curve may have. */
export type CurveTone = '--ink' | '--second' | '--moss' | '--signal';

export interface Curve {
  readonly label: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly tone: CurveTone;
  readonly dashed?: boolean;
  readonly wide?: boolean;
}

interface Axis {
  readonly label: string;
  readonly min: number;
  readonly max: number;
}

const isTen = (value: number): boolean =>
  Math.abs(Math.log10(value) - Math.round(Math.log10(value))) < 1e-6;
/** Powers of ten are written, what lies between is not. */
const tens = (value: string | number): string =>
  isTen(Number(value)) ? String(Number(value)) : '';

/**
 * Curves over two axes of powers of ten. What they say has to stand in words beside them: a drawing
 * on a canvas is walked by no key.
 */
export default function LogChart({
  curves,
  x,
  y,
  name,
}: {
  curves: readonly Curve[];
  x: Axis;
  y: Axis;
  /** what is drawn, for those who listen */
  name: string;
}) {
  const [theme] = useTheme();
  const style = getComputedStyle(document.documentElement);
  const tone = (variable: string): string => style.getPropertyValue(variable).trim();
  const font = { family: style.getPropertyValue('--font-sans').trim() || 'sans-serif', size: 12 };
  const axis = ({ label, min, max }: Axis) => ({
    type: 'logarithmic' as const,
    min,
    max,
    title: { display: true, text: label, color: tone('--second'), font },
    ticks: { color: tone('--second'), font, callback: tens, maxRotation: 0, autoSkip: false },
    grid: {
      color: ({ tick }: { tick?: { value: number } }) =>
        tick && isTen(tick.value) ? tone('--hair') : 'transparent',
    },
  });
  return (
    <div className="h-[340px]">
      <Scatter
        // Colours are read from the page when it is drawn: another theme draws it anew.
        key={theme}
        role="img"
        aria-label={name}
        data={{
          datasets: curves.map(({ label, points, tone: colour, dashed, wide }) => ({
            label,
            data: points.map((point) => ({ ...point })),
            borderColor: tone(colour),
            backgroundColor: 'transparent',
            borderDash: dashed ? [6, 4] : [],
            borderWidth: wide ? 3 : 1.5,
            pointRadius: 0,
            showLine: true,
          })),
        }}
        options={{
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          events: [],
          scales: { x: axis(x), y: axis(y) },
          plugins: {
            legend: {
              position: 'bottom',
              labels: {
                color: tone('--ink'),
                font,
                boxWidth: 34,
                boxHeight: 0,
              },
            },
          },
        }}
      />
    </div>
  );
}
