import type { StudioServer } from '../support/studioServer';

/** What is attacked: a studio on this machine alone, and one that a network may ask. */
export interface Targets {
  own: StudioServer;
  shared: StudioServer;
  /** The passphrase of the shared one. */
  passphrase: string;
}

/** One attack: what it tries, and what has to hold. */
export interface Attack {
  name: string;
  /** Takes seconds at most; tried in the tests, too. */
  quick: boolean;
  /** Throws where it did not hold; answers what was measured. */
  run(targets: Targets): Promise<string>;
}
