/**
 * Keeps values by key up to a weight in all; the one that was asked for the longest time ago goes first.
 * Without `weigh` each value weighs one.
 */
export class Newest<Value> {
  private readonly values = new Map<string, Value>();
  private weight = 0;

  constructor(
    private readonly most: number,
    private readonly weigh: (value: Value) => number = () => 1,
  ) {}

  get size(): number {
    return this.values.size;
  }

  get(key: string): Value | undefined {
    const value = this.values.get(key);
    if (value !== undefined) {
      this.values.delete(key);
      this.values.set(key, value);
    }
    return value;
  }

  set(key: string, value: Value): void {
    this.delete(key);
    this.values.set(key, value);
    this.weight += this.weigh(value);
    for (const oldest of this.values.keys()) {
      if (this.weight <= this.most || oldest === key) break;
      this.delete(oldest);
    }
  }

  delete(key: string): void {
    const value = this.values.get(key);
    if (value === undefined) return;
    this.values.delete(key);
    this.weight -= this.weigh(value);
  }
}
