import type { DrawnLayer, FixingDrawing } from '@brookrain/core';
import { Colors, DxfWriter, Units, point3d } from '@tarikjabiri/dxf';

const layers: Readonly<Record<DrawnLayer, readonly [name: string, colour: number, type: string]>> =
  {
    cut: ['CUT', Colors.White, 'Continuous'],
    hole: ['HOLES', Colors.White, 'Continuous'],
    bend: ['BEND', Colors.Green, 'DASHED'],
    part: ['PART', Colors.Blue, 'Continuous'],
    measure: ['MEASURES', Colors.Red, 'Continuous'],
    loom: ['LOOM', Colors.White, 'Continuous'],
    side: ['SIDES', Colors.Blue, 'Continuous'],
    nail: ['NAILS', Colors.Red, 'Continuous'],
    plug: ['PLUGS', Colors.Green, 'Continuous'],
  };
const TEXT = 3;

/** A drawing as a DXF file in millimetres, 1:1, what is cut, drilled and folded on layers of their own. */
export function drawingDxf(drawing: FixingDrawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  dxf.setVariable('$LASTSAVEDBY', { 1: 'Brookrain' });
  dxf.addLType('DASHED', '__ __ __', [3, -2]);
  for (const [name, colour, type] of Object.values(layers)) dxf.addLayer(name, colour, type);
  for (const shape of drawing.shapes) {
    const layerName = layers[shape.layer][0];
    switch (shape.kind) {
      case 'line':
        dxf.addLine(point3d(...shape.from), point3d(...shape.to), { layerName });
        break;
      case 'circle':
        dxf.addCircle(point3d(...shape.centre), shape.radius, { layerName });
        break;
      case 'text': {
        const long = (shape.text.length * TEXT * 0.7) / 2;
        const [x, y] = shape.at;
        dxf.addText(shape.upright ? point3d(x, y - long) : point3d(x - long, y), TEXT, shape.text, {
          layerName,
          rotation: shape.upright ? 90 : 0,
        });
        break;
      }
    }
  }
  return dxf.stringify();
}
