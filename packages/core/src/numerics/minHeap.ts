/** A heap of numbered entries by rising cost, grown as needed. Entries may stand in it twice. */
export class MinHeap {
  private costs = new Float64Array(1024);
  private entries = new Int32Array(1024);
  private count = 0;

  get size(): number {
    return this.count;
  }

  push(entry: number, cost: number): void {
    if (this.count === this.entries.length) this.grow();
    let at = this.count++;
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if ((this.costs[parent] as number) <= cost) break;
      this.costs[at] = this.costs[parent] as number;
      this.entries[at] = this.entries[parent] as number;
      at = parent;
    }
    this.costs[at] = cost;
    this.entries[at] = entry;
  }

  /** The entry of least cost; undefined when there is none. */
  pop(): number | undefined {
    if (this.count === 0) return undefined;
    const top = this.entries[0] as number;
    this.count -= 1;
    const cost = this.costs[this.count] as number;
    const entry = this.entries[this.count] as number;
    let at = 0;
    for (;;) {
      let child = 2 * at + 1;
      if (child >= this.count) break;
      if (
        child + 1 < this.count &&
        (this.costs[child + 1] as number) < (this.costs[child] as number)
      ) {
        child += 1;
      }
      if ((this.costs[child] as number) >= cost) break;
      this.costs[at] = this.costs[child] as number;
      this.entries[at] = this.entries[child] as number;
      at = child;
    }
    this.costs[at] = cost;
    this.entries[at] = entry;
    return top;
  }

  private grow(): void {
    const costs = new Float64Array(2 * this.costs.length);
    const entries = new Int32Array(2 * this.entries.length);
    costs.set(this.costs);
    entries.set(this.entries);
    this.costs = costs;
    this.entries = entries;
  }
}
