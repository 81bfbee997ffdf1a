import { measureServer } from '/work/main/bench/server';
await measureServer('/tmp/bench-home');
