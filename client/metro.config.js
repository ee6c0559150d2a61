const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');

// Zod brings the words of fifty languages, of which one is used, and JSON Schema and a compiler, of which none are.
const zodEnglish = path.join(__dirname, 'src/zod-english.js');
const unused = path.join(__dirname, 'src/unused.js');
config.resolver.resolveRequest = (context, name, platform) => {
  if (context.originModulePath.includes(`${path.sep}zod${path.sep}`)) {
    if (/locales\/index(\.c?js)?$/.test(name)) return { type: 'sourceFile', filePath: zodEnglish };
    if (/\/(from-json-schema|to-json-schema|json-schema-processors|json-schema-generator|compile)(\.c?js)?$/.test(name)) {
      return { type: 'sourceFile', filePath: unused };
    }
  }
  // Makes ids from names, which nobody asks for, and stumbles while it is loaded (src/no-refusals.ts).
  if (name === './lib/v35' && context.originModulePath.includes('expo-modules-core')) return { type: 'sourceFile', filePath: unused };
  return context.resolveRequest(context, name, platform);
};

module.exports = withNativeWind(config, { input: './global.css' });
