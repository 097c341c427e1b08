/** Sets of names that are joined with one another. */
export class Joined {
  private readonly parent = new Map<string, string>();

  rootOf(name: string): string {
    const parent = this.parent.get(name) ?? name;
    if (parent === name) return name;
    const root = this.rootOf(parent);
    this.parent.set(name, root);
    return root;
  }

  join(a: string, b: string): void {
    const [from, to] = [this.rootOf(a), this.rootOf(b)];
    if (from !== to) this.parent.set(from, to);
  }
}
