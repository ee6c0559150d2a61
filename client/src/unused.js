/**
 * Stands in for what the app never calls: Zod's JSON Schema in and out and its code compiler, ids made from names. Whoever loads it only
 * holds on to the names. The server and the generated documents use the real ones.
 */
const nothing = () => undefined;
module.exports = new Proxy({}, { get: (_target, key) => (key === '__esModule' ? true : () => nothing) });
