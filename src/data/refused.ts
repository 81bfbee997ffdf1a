/** Rolls a write back because a rule of the core refused it; `code` names the rule. */
export class Refused extends Error {
  constructor(readonly code: string) {
    super(code);
  }
}
