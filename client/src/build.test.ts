import { isReplaced, loadAnew } from './build';

const page = (build: string) => `<!doctype html><html><head><meta name="build" content="${build}" /></head><body></body></html>`;
const answers = (status: number, text: string) => {
  globalThis.fetch = jest.fn(async () => ({ ok: status === 200, status, text: async () => text })) as never;
};

test('a server with another build has replaced this page; one that is away, broken or unnamed has not', async () => {
  answers(200, page('b2'));
  expect(await isReplaced()).toBe(true);
  answers(200, page(''));
  expect(await isReplaced()).toBe(false);
  answers(503, page('b2'));
  expect(await isReplaced()).toBe(false);
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no signal');
  }) as never;
  expect(await isReplaced()).toBe(false);
});

test('the new app is loaded once: a fault that it has too must not go round and round', () => {
  // The browser of the tests does not leave its page, and says so.
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(loadAnew('/job/a/walk')).toBe(true);
  expect(said).toHaveBeenCalled();
  expect(loadAnew('/job/a/walk')).toBe(false);
});
