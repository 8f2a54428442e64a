import { parentPort, workerData } from 'node:worker_threads';

/*
 * Sends heavy bodies again and again, each as soon as it was answered, from a thread of its own so that whoever measures is not held up. Tells of every
 * answer that is no refusal; ends when it is told to.
 */

const { address, bodies } = workerData;
let attacking = true;
parentPort.on('message', () => {
  attacking = false;
});

await Promise.all(
  bodies.map(async ({ path, text }) => {
    const body = Buffer.from(text);
    while (attacking) {
      const answer = await fetch(address + path, { method: 'POST', body });
      await answer.arrayBuffer();
      if (answer.status !== 422) parentPort.postMessage({ path, status: answer.status });
    }
  }),
);
parentPort.close();
