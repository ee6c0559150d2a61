/** What the load is made of. */
export { changesFor, writeJobFile } from '@roughsill/core';
export { largeJob } from '@roughsill/demo';
