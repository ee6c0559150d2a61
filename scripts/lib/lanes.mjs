/**
 * Runs jobs side by side, so many at once, in their order; one whose needs are not met yet lets the next go first.
 * @param jobs `{name, after?: names, run}`; a need that is not among the jobs counts as met
 * @param failed is told what went wrong; what needed that job is told too, and not begun
 */
export async function inLanes(lanes, jobs, failed) {
  const waiting = [...jobs];
  const state = new Map(jobs.map((j) => [j.name, 'waiting']));
  let wake = () => undefined;
  const lane = async () => {
    while (waiting.length > 0) {
      const at = waiting.findIndex((j) => (j.after ?? []).every((n) => !['waiting', 'running'].includes(state.get(n))));
      if (at < 0) {
        await new Promise((resolve) => {
          const before = wake;
          wake = () => (before(), resolve());
        });
        continue;
      }
      const [job] = waiting.splice(at, 1);
      state.set(job.name, 'running');
      const broken = (job.after ?? []).find((n) => state.get(n) === 'failed');
      try {
        if (broken) throw new Error(`${broken} failed`);
        await job.run();
        state.set(job.name, 'done');
      } catch (e) {
        state.set(job.name, 'failed');
        failed(job, e);
      }
      const now = wake;
      wake = () => undefined;
      now();
    }
  };
  await Promise.all(Array.from({ length: lanes }, lane));
}
