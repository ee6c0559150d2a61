/** Prepares the database and ends: the only program that is told the owner's password, on its standard input, and keeps it nowhere. */
import { text } from 'node:stream/consumers';
import pino from 'pino';
import { prepareDatabase, type Preparation } from './db/prepare';

await prepareDatabase(JSON.parse(await text(process.stdin)) as Preparation, pino({ level: 'warn' }));
