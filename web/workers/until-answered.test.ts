import { untilAnswered } from './until-answered';

test('what is told before the answer is heard, and what comes after it is not', async () => {
  const heard: number[] = [];
  let late: ((share: number) => void) | undefined;
  const answer = await untilAnswered(
    (share: number) => heard.push(share),
    async (told) => {
      late = told;
      told(0.3);
      await Promise.resolve();
      told(0.9);
      return 'done';
    },
  );
  late!(1);
  expect(answer).toBe('done');
  expect(heard).toEqual([0.3, 0.9]);
});

test('after a refusal nothing is heard either', async () => {
  const heard: number[] = [];
  let late: ((share: number) => void) | undefined;
  const asked = untilAnswered(
    (share: number) => heard.push(share),
    (told) => {
      late = told;
      return Promise.reject(new Error('no'));
    },
  );
  await expect(asked).rejects.toThrow('no');
  late!(1);
  expect(heard).toEqual([]);
});
