/**
 * Stands in for the parts of Zod that the app never calls (JSON Schema in and out, the code compiler): schemas only hold on to their names.
 * The server and the generated documents use the real ones.
 */
const nothing = () => undefined;
module.exports = new Proxy({}, { get: (_target, key) => (key === '__esModule' ? true : () => nothing) });
