/** The last few answers that were made, each by its name; the one that was not asked for longest goes. */
export class Kept<V> {
  private readonly known = new Map<string, Promise<V>>();

  constructor(
    private readonly most: number,
    /** What is done with one that goes. */
    private readonly drop: (gone: V) => void = () => undefined,
  ) {}

  /** What is kept under a name, or is made now; one that fails is not kept. */
  of(name: string, make: () => Promise<V>): Promise<V> {
    const found = this.known.get(name) ?? make();
    this.known.delete(name);
    this.known.set(name, found);
    const [oldest] = this.known;
    if (this.known.size > this.most && oldest) {
      this.known.delete(oldest[0]);
      oldest[1].then(this.drop, () => undefined);
    }
    found.catch(() => this.known.get(name) === found && this.known.delete(name));
    return found;
  }
}
