/// <reference types="nativewind/types" />
declare module '*.css';
declare module '*.woff2' {
  const asset: number;
  export default asset;
}
