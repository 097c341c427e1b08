import { defineFormula } from '../../results/index.ts';

export const pushOff = defineFormula({
  name: 'force that pushes an injector out of the rail',
  notation: 'F = p · π/4 · D²',
  kind: 'force',
  inputKinds: { pressure: 'pressure', bore: 'length' },
  source: 'pressure of the rail on the bore of its upper seal',
  compute: (i) => i.pressure * (Math.PI / 4) * i.bore ** 2,
});

export const railLift = defineFormula({
  name: 'force that lifts the rail',
  notation: 'F = n · p · π/4 · D²',
  kind: 'force',
  inputKinds: { each: 'force', count: 'count' },
  source: 'what its bolts hold down; clips do not',
  compute: (i) => i.each * i.count,
});

export const seatGap = defineFormula({
  name: 'seat distance beyond the injector',
  notation: 'distance of the seats − reach of the injector',
  kind: 'length',
  inputKinds: { seatDistance: 'length', reach: 'length' },
  source: 'above 0 it rattles out of its seals, below 0 it is crushed between them',
  compute: (i) => i.seatDistance - i.reach,
});

export const sealGap = defineFormula({
  name: 'bore beyond what the seal is for',
  notation: 'bore − bore that the seal fits',
  kind: 'length',
  inputKinds: { bore: 'length', seal: 'length' },
  source: 'O-rings are squeezed by their bore; a tenth of a millimetre either way is no fit',
  compute: (i) => i.bore - i.seal,
});

export const besideNeighbour = defineFormula({
  name: 'room beside the next injector',
  notation: 'distance of their middles − thickest part with its plug',
  kind: 'length',
  inputKinds: { bossSpacing: 'length', barrel: 'length' },
  source: 'two injectors side by side, plugs on',
  compute: (i) => i.bossSpacing - i.barrel,
});

export const seatingFormulas = [pushOff, railLift, seatGap, sealGap, besideNeighbour];
