/** The command line of a studio; each command is defined in `scripts/commands`. */
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import { startWorkersBy } from '@/engine';
import { Stop } from './commands/command';
import type { Command, Flags } from './commands/command';
import { cut } from './commands/cut';
import { ink, inkDemand } from './commands/ink';
import { inspect, intake, rules } from './commands/pictures';
import { proofCompare } from './commands/photograph';
import { price } from './commands/price';
import { softproof, stripCompare } from './commands/proof';
import { backup, check, exportTables, restore, verify } from './commands/safekeeping';
import { list, passphrase, serve } from './commands/studio';

const COMMANDS: readonly Command[] = [
  serve,
  intake,
  inspect,
  list,
  exportTables,
  rules,
  softproof,
  stripCompare,
  proofCompare,
  cut,
  ink,
  inkDemand,
  price,
  backup,
  verify,
  restore,
  check,
  passphrase,
];

const WIDE = 26;
const COMMON = {
  home: {
    type: 'string',
    does: 'the data folder; else GLASSINE_HOME, else ./var',
  },
  help: { type: 'boolean', does: 'this' },
} as const;

const USAGE = [
  'npx glassine <command> [--home FOLDER] [--help]',
  '',
  ...COMMANDS.map((c) => `  ${`${c.name} ${c.takes}`.padEnd(WIDE)} ${c.does}`),
  '',
  'With --help behind a command: what it takes.',
].join('\n');

const helpOf = ({ name, takes, does, flags = {} }: Command): string =>
  [
    `npx glassine ${[name, takes].filter(Boolean).join(' ')} [flags]`,
    '',
    `  ${does}`,
    '',
    ...Object.entries({ ...flags, ...COMMON }).map(([flag, { type, does: what }]) => {
      const said = `--${flag}${type === 'string' ? ` ${flag.toUpperCase()}` : ''}`;
      return `  ${said.padEnd(WIDE)} ${what}`;
    }),
  ].join('\n');

/** What was typed behind a command: words and flags; what it does not know is refused. */
function read(command: Command, typed: string[]): { words: string[]; flags: Flags } {
  const options = Object.fromEntries(
    Object.entries({ ...command.flags, ...COMMON }).map(([flag, { type }]) => [
      flag,
      { type },
    ]),
  );
  try {
    const { values, positionals } = parseArgs({
      args: typed,
      options,
      allowPositionals: true,
      strict: true,
    });
    return { words: positionals, flags: values };
  } catch (error) {
    const [what] = (error as Error).message.split('. ');
    throw new Stop(`${what!}.\n\n${helpOf(command)}`);
  }
}

// Who reads the first lines alone closes the pipe: that is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(0);
});
// Built, its threads are built beside it; from source they compile as they import.
const BUILT = import.meta.url.endsWith('/glassine-command.mjs');
const thread = BUILT ? './glassine-worker.mjs' : './worker.mjs';
startWorkersBy(() => new Worker(new URL(thread, import.meta.url)));

const [name = '', ...typed] = process.argv.slice(2);
try {
  const command = COMMANDS.find((c) => c.name === name);
  if (!command) {
    if (name === '--help' || name === 'help') {
      console.log(USAGE);
      process.exit(0);
    }
    throw new Stop(name === '' ? USAGE : `There is no command “${name}”.\n\n${USAGE}`);
  }
  const { words, flags } = read(command, typed);
  if (flags.help) {
    console.log(helpOf(command));
    process.exit(0);
  }
  const [least, most] = command.words;
  if (words.length < least) throw new Stop(`Something is missing.\n\n${helpOf(command)}`);
  if (words.length > most)
    throw new Stop(`“${words[most]!}” is too much.\n\n${helpOf(command)}`);
  await command.run(words, flags);
  // Lines that are still on their way into a pipe are written before the end.
  await new Promise((done) => process.stdout.write('', done));
  process.exit(process.exitCode ?? 0);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
}
