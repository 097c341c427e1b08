const nothing = (): void => undefined;
const contexts = new WeakMap<HTMLCanvasElement, CanvasRenderingContext2D>();

/** A canvas that takes every stroke and draws none: jsdom has no drawing. */
function contextOf(canvas: HTMLCanvasElement): CanvasRenderingContext2D {
  const known = contexts.get(canvas);
  if (known) return known;
  const held: Record<PropertyKey, unknown> = {
    canvas,
    measureText: (text: string) => ({ width: 6 * text.length }),
  };
  const made = new Proxy(held, {
    get: (target, key) => (key in target ? target[key] : nothing),
  }) as unknown as CanvasRenderingContext2D;
  contexts.set(canvas, made);
  return made;
}

Object.assign(HTMLCanvasElement.prototype, {
  getContext(this: HTMLCanvasElement) {
    return contextOf(this);
  },
});
