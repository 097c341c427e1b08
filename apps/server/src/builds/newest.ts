/** Keeps so many values by key; the one that was asked for the longest time ago goes first. */
export class Newest<Value> {
  private readonly values = new Map<string, Value>();

  constructor(private readonly most: number) {}

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
    this.values.delete(key);
    this.values.set(key, value);
    for (const oldest of this.values.keys()) {
      if (this.values.size <= this.most) break;
      this.values.delete(oldest);
    }
  }

  delete(key: string): void {
    this.values.delete(key);
  }
}
