import type { RouteProblem } from '@/core/prepare';
import type { LabAnswer, LabReason } from '@/standins';

/** Why a lab refuses a file. */
export function reasonWords(reason: LabReason): string {
  switch (reason.code) {
    case 'missing':
      return 'it is not in the folder: hand it over again';
    case 'checksum':
      return 'its checksum is another: it was damaged on the way, hand it over again';
    case 'unreadable':
      return 'it cannot be opened';
    case 'name':
      return 'its name does not begin with the size';
    case 'pixels':
      return `${reason.found} px instead of ${reason.wanted}`;
    case 'ppi':
      return `${reason.found} ppi, and ${reason.wanted} are asked for at this size: write it with more`;
    case 'profile':
      return `${reason.wanted} is asked for, and there is ${reason.found}`;
    case 'bits':
      return `${reason.found} bits, and ${reason.wanted} are asked for`;
    case 'size':
      return `${reason.found}, and it should be ${reason.wanted}`;
  }
}

export const STAGES: Record<LabAnswer['stage'], string> = {
  refused: 'refused',
  accepted: 'accepted',
  printed: 'printed',
  sent: 'sent',
};

/** In what a file is not what its route asks for. */
export function routeProblemWords(
  problem: RouteProblem,
  nameOf: (target: string) => string,
): string {
  switch (problem.code) {
    case 'failed':
      return `${problem.count} ${problem.count === 1 ? 'check' : 'checks'} not passed`;
    case 'ppi':
      return `${problem.found} ppi, at least ${problem.wanted} asked`;
    case 'target':
      return `${nameOf(problem.found)}, ${nameOf(problem.wanted)} asked`;
    case 'bits':
      return `${problem.found} bits, ${problem.wanted} asked`;
    case 'format':
      return `${problem.found.toUpperCase()}, ${problem.wanted.toUpperCase()} asked`;
  }
}

/** What is to be done before files are handed over, or that all is as asked. */
export function readyWords(route: string | null, chosen: number, off: number): string {
  if (route === null) return 'Say first who prints, and what they ask for.';
  if (off > 0)
    return `${off} of them ${off === 1 ? 'is' : 'are'} not as ${route} asks. It can be handed over all the same, if they agreed to it.`;
  return chosen === 0
    ? 'Choose the files, how many prints of each, and on which paper.'
    : `As asked. ${chosen === 1 ? 'It is' : 'They are'} copied, checked once more, and listed in a manifest.`;
}
