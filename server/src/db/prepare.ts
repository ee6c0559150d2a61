/** What the owner of the tables does before anybody serves: makes them, gives the serving role its rights, makes the firm. */
import type { Logger } from 'pino';
import { connect, migrateTo, WORKING } from './client';
import { grantRights } from './rights';
import { makeFirm } from './seed';

export interface Preparation {
  readonly ownerUrl: string;
  /** The role with which the server works. */
  readonly role: string;
  readonly migrationsDir: string;
}

/** Doing it again changes nothing; a database that was restored from a dump has lost its rights, and gets them here. */
export async function prepareDatabase({ ownerUrl, role, migrationsDir }: Preparation, log: Pick<Logger, 'warn'>): Promise<void> {
  const owner = connect(ownerUrl, log, WORKING);
  try {
    await migrateTo(owner.db, migrationsDir);
    await grantRights(owner.db, role);
    await makeFirm(owner.db);
  } finally {
    await owner.close();
  }
}
