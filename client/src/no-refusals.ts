/**
 * What is refused while the app is put together costs more than it says: to tell where it happened, the browser reads the whole script
 * once more, a quarter of a second on a slow phone, before anything is drawn.
 */

// Zod asks whether code may be made from text; the page's security policy says no, by an error and a report.
(globalThis as { __zod_globalConfig?: object }).__zod_globalConfig = { jitless: true };

/**
 * The style sheet of react-native-web holds rules for other browsers, which this one refuses by throwing. A rule whose selector is
 * not known here goes in under one that matches nothing.
 */
if (typeof CSSStyleSheet !== 'undefined' && typeof CSS !== 'undefined') {
  const insert = CSSStyleSheet.prototype.insertRule;
  CSSStyleSheet.prototype.insertRule = function insertRule(text, index) {
    const [selector = ''] = text.split('{');
    const isForeign = selector.includes(':-') && !selector.startsWith('@') && !CSS.supports(`selector(${selector})`);
    return insert.call(this, isForeign ? text.replace(selector, 'not-of-this-browser') : text, index);
  };
}

export {};
