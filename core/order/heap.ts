/** A heap of things by a number each, the least first; of equal ones the one that came last. */
export class Heap<T> {
  private readonly items: { readonly by: number; readonly turn: number; readonly it: T }[] = [];
  private turn = 0;

  get size(): number {
    return this.items.length;
  }

  /** The least number in it; infinite where it is empty. */
  get least(): number {
    return this.items[0]?.by ?? Infinity;
  }

  push(by: number, it: T): void {
    const item = { by, turn: this.turn++, it };
    let at = this.items.push(item) - 1;
    while (at > 0) {
      const up = (at - 1) >> 1;
      if (!this.before(at, up)) break;
      this.swap(at, up);
      at = up;
    }
  }

  pop(): T | undefined {
    const [first] = this.items;
    const last = this.items.pop();
    if (!first || !last || this.items.length === 0) return first?.it;
    this.items[0] = last;
    for (let at = 0; ;) {
      const [left, right] = [2 * at + 1, 2 * at + 2];
      let least = at;
      if (left < this.items.length && this.before(left, least)) least = left;
      if (right < this.items.length && this.before(right, least)) least = right;
      if (least === at) return first.it;
      this.swap(at, least);
      at = least;
    }
  }

  private before(a: number, b: number): boolean {
    const [one, other] = [this.items[a]!, this.items[b]!];
    return one.by < other.by || (one.by === other.by && one.turn > other.turn);
  }

  private swap(a: number, b: number): void {
    [this.items[a], this.items[b]] = [this.items[b]!, this.items[a]!];
  }
}
