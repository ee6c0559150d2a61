const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');

// Zod brings the words of fifty languages; one is used.
const zodEnglish = path.join(__dirname, 'src/zod-english.js');
config.resolver.resolveRequest = (context, name, platform) => {
  if (/locales\/index(\.c?js)?$/.test(name) && context.originModulePath.includes(`${path.sep}zod${path.sep}`))
    return { type: 'sourceFile', filePath: zodEnglish };
  return context.resolveRequest(context, name, platform);
};

module.exports = withNativeWind(config, { input: './global.css' });
