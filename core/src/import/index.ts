export { decode, isFormula, readBlock, readDate, readNumber, readTable, writeTable, type Table } from './table';
export {
  COLUMNS,
  guessMapping,
  IMPORT_KINDS,
  NEEDED,
  previewImport,
  type Column,
  type ImportKind,
  type ImportPreview,
  type ImportRow,
  type ImportSettings,
  type Mapping,
} from './results';
export { readEpw, readWeather, type ReadWeather, type WeatherPlace } from './weather';
export { readLogger } from './logger-csv';
export { readClimate } from './climate';
export { bagsCsv } from './bags-csv';
export { registerCsv } from './register-csv';
export { readShelf, readShelfCsv, SHELF_FORMAT, shelfCsv, shelfDrafts, ShelfFile, writeShelf, type ShelfDraft } from './shelf';
