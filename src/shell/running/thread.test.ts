import { ALIVE, pageThread } from './thread';

/** A thread that says what it is told to say. */
class Told extends EventTarget {
  ended = 0;
  terminate() {
    this.ended += 1;
  }
  say = (data: string) => this.dispatchEvent(new MessageEvent('message', { data }));
  fail = () => this.dispatchEvent(new Event('error'));
}
const begun = () => {
  const told = new Told();
  return { told, thread: pageThread(told as unknown as Worker) };
};

it('comes alive with its first word, and is ended at once from then on', async () => {
  const { told, thread } = begun();
  told.say(ALIVE);
  expect(await thread.alive).toBe(true);
  expect(told.ended).toBe(0);
  thread.end();
  expect(told.ended).toBe(1);
});

it('ended while its code is loaded, it is let come alive first', async () => {
  const { told, thread } = begun();
  thread.end();
  expect(told.ended).toBe(0);
  told.say(ALIVE);
  expect(await thread.alive).toBe(true);
  expect(told.ended).toBe(1);
});

it('whose code is not there is not alive, and is ended', async () => {
  const { told, thread } = begun();
  told.fail();
  expect(await thread.alive).toBe(false);
  expect(told.ended).toBe(1);
});
