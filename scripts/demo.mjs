// npm run demo: installs what is missing, starts PostgreSQL on loopback, migrates, seeds, serves.
import { buildServer, buildWeb } from './lib/build.mjs';
import { freePort, startPostgres } from './lib/postgres.mjs';
import path from 'node:path';
import { DATA, ensurePackages, say } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';

ensurePackages();
const database = await startPostgres('postgres', { port: 55432 });
try {
  const [webDir, main] = await Promise.all([buildWeb(), buildServer()]);
  const port = await freePort(Number(process.env.PORT ?? 8100));
  const server = await startServer({
    main,
    database,
    port,
    webDir,
    sample: true,
    photosDir: path.join(DATA, 'photos'),
    labDaySeconds: 15,
    logFile: path.join(DATA, 'server.log'),
  });
  process.stdout.write(
    `\n  Rough Sill is at ${server.address}\n  The sample job is Quill Point. Instruments and the lab are simulated; a lab day takes 15 seconds.\n  Stop with Ctrl-C; what you enter is kept.\n  Requests are logged in .data/server.log.\n\n`,
  );
  let leaving = false;
  const leave = async () => {
    if (leaving) return;
    leaving = true;
    await server.stop();
    database.stop();
    process.exit(0);
  };
  process.on('SIGINT', leave);
  process.on('SIGTERM', leave);
  server.child.once('exit', () => {
    if (leaving) return;
    say('the server ended');
    database.stop();
    process.exit(1);
  });
} catch (e) {
  database.stop();
  say(String(e.message ?? e));
  process.exit(1);
}
