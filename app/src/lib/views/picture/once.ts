/** What is made once for each look of a thing, as the subject and not, and kept as long as the thing is. */
export class Once<Of extends object, Made> {
  private readonly made = new WeakMap<Of, [Made?, Made?]>();

  get(key: Of, isSubject: boolean, make: () => Made): Made {
    const looks = this.made.get(key) ?? [];
    this.made.set(key, looks);
    return (looks[Number(isSubject)] ??= make());
  }
}
