// `--name value` and `--flag` of a command; `--help` says what there is, and nothing runs.
export function argsOf(defaults) {
  const out = { ...defaults };
  const argv = process.argv.slice(2);
  if (argv.includes('--help') || argv.includes('-h')) {
    const shown = ([name, value]) => (typeof value === 'boolean' ? `  --${name}` : `  --${name} ${value === '' ? 'TEXT' : value}`);
    process.stdout.write(`${Object.entries(defaults).map(shown).join('\n')}\n`);
    process.exit(0);
  }
  for (let i = 0; i < argv.length; i += 1) {
    const name = argv[i].replace(/^--/, '').replace(/-(\w)/g, (_, c) => c.toUpperCase());
    if (!argv[i].startsWith('--') || !(name in defaults)) {
      process.stderr.write(
        `unknown option ${argv[i]}; the options are ${Object.keys(defaults)
          .map((k) => `--${k}`)
          .join(', ')}\n`,
      );
      process.exit(2);
    }
    if (typeof defaults[name] === 'boolean') out[name] = true;
    else out[name] = typeof defaults[name] === 'number' ? Number(argv[(i += 1)]) : argv[(i += 1)];
  }
  return out;
}

/** Random numbers that the same seed makes again (mulberry32). */
export function seededRandom(seed) {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
