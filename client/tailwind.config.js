const pigment = (name) => `rgb(var(--${name}) / <alpha-value>)`;

/** Pigments on a limewash ground. Values stand in global.css, once for daylight and once for cellars. */
module.exports = {
  content: ['./app/**/*.tsx', './src/**/*.tsx'],
  presets: [require('nativewind/preset')],
  theme: {
    extend: {
      colors: {
        limewash: pigment('limewash'),
        panel: pigment('panel'),
        shelf: pigment('shelf'),
        line: pigment('line'),
        soot: pigment('soot'),
        ash: pigment('ash'),
        oxide: pigment('oxide'),
        ochre: pigment('ochre'),
        umber: pigment('umber'),
        verdigris: pigment('verdigris'),
        slate: pigment('slate'),
        onsoot: pigment('onsoot'),
      },
      fontFamily: { name: ['Besley', 'serif'], read: ['Hyperlegible', 'sans-serif'], strong: ['HyperlegibleBold', 'sans-serif'] },
      fontSize: {
        note: ['0.875rem', '1.25rem'],
        body: ['1rem', '1.5rem'],
        row: ['1.0625rem', '1.5rem'],
        head: ['1.375rem', '1.75rem'],
        title: ['1.75rem', '2.125rem'],
      },
      minHeight: { touch: '3rem' },
      minWidth: { touch: '3rem' },
    },
  },
  plugins: [],
};
