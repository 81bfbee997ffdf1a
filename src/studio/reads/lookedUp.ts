/** What is looked up once for many: by its name, the first time that it is asked for. */
export class LookedUp {
  private readonly known = new Map<string, Promise<unknown>>();

  of<T>(name: string, look: () => PromiseLike<T>): Promise<T> {
    // A query asks anew whenever it is awaited: what it answers is kept, not the query.
    const found = this.known.get(name) ?? Promise.resolve(look());
    this.known.set(name, found);
    return found as Promise<T>;
  }
}
