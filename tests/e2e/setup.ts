import { freePort } from '../../scripts/lib/postgres.mjs';
import { startServer } from '../../scripts/lib/server.mjs';

const need = (key: string): string => {
  const value = process.env[key];
  if (!value) throw new Error(`${key} is not set: run these tests with npm test -- e2e`);
  return value;
};

/** One server on one empty database for the whole run. Tests reach it through E2E_ADDRESS. */
export default async function setup(): Promise<() => Promise<void>> {
  const port = await freePort(8300);
  const server = await startServer({
    main: need('E2E_SERVER'),
    database: { url: need('E2E_DATABASE_URL'), ownerUrl: need('E2E_OWNER_DATABASE_URL') },
    port,
    webDir: need('E2E_WEB_DIR'),
    sample: false,
    photosDir: need('E2E_PHOTOS_DIR'),
    labDaySeconds: 0.5,
  });
  process.env['E2E_ADDRESS'] = server.address;
  return server.stop;
}
