/** What a firm decides for itself: rates, prices, schools, certificates. Every default can be changed; a change is marked as the firm's. */
import { z } from 'zod';
import { METHOD_IDS } from '../facts/vocabulary';

const money = z.number().min(0, 'a price cannot be negative').max(100000, 'check the price');
const days = z.number().min(0, 'days cannot be negative').max(60, 'over 60 days: check');
const Rate = z
  .strictObject({
    /** m2 per person-hour on flat work, one pass. */
    lowM2PerH: z.number().positive('a rate must be more than 0').max(500),
    highM2PerH: z.number().positive('a rate must be more than 0').max(500),
  })
  .refine((r) => r.lowM2PerH <= r.highM2PerH, 'the slow rate is above the fast one');

export const FirmSettings = z.strictObject({
  firmName: z.string().min(1).max(120),
  labourPerHour: money,
  /** Own rates by method; a method without one uses the catalogue's range. */
  rates: z.partialRecord(z.enum(METHOD_IDS), Rate),
  sheetPerM2: money,
  bagEach: money,
  /** Holds the certificate that paid lead work beyond minor repair needs (US). */
  certified: z.boolean(),
  /** The firm's spot kit is a recognised one, to be relied on when it shows no lead (US). */
  recognisedKit: z.boolean(),
  ownsHepaSander: z.boolean(),
  /** School: hot air on lead paint below the legal limit. Off: fume is invisible. */
  allowHotAirOnLead: z.boolean(),
  /** School: a firm's own caustic mix on timber, trial square first. */
  allowCausticOnTimber: z.boolean(),
  /** Days that the lab usually takes, by hazard. */
  labDays: z.strictObject({ lead: days, asbestos: days, mold: days }).default({ lead: 4, asbestos: 4, mold: 4 }),
  /** What one test costs, with its share of the carriage. */
  testPrices: z.strictObject({ swab: money, chip: money, bulk: money, xrf: money }).default({ swab: 5, chip: 28, bulk: 38, xrf: 6 }),
  /** What a licensed remover asks, per m2 of asbestos-containing material. */
  licensedRemovalPerM2: money.default(95),
  /** Prefix of the firm's own sample numbers. */
  samplePrefix: z.string().trim().min(1, 'a prefix has at least one letter').max(10, 'at most 10 letters').default('S'),
});
export type FirmSettings = z.infer<typeof FirmSettings>;

export const DEFAULT_SETTINGS: FirmSettings = {
  firmName: 'Your firm',
  labourPerHour: 58,
  rates: {},
  sheetPerM2: 0.9,
  bagEach: 2.5,
  certified: true,
  recognisedKit: true,
  ownsHepaSander: true,
  allowHotAirOnLead: false,
  allowCausticOnTimber: true,
  labDays: { lead: 4, asbestos: 4, mold: 4 },
  testPrices: { swab: 5, chip: 28, bulk: 38, xrf: 6 },
  licensedRemovalPerM2: 95,
  samplePrefix: 'S',
};
