import { measureServer } from './server';
await measureServer('/tmp/bench-home');
