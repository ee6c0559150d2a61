/** Assigned protection factors: 29 CFR 1910.134(d)(3)(i)(A), table 1; HSE HSG53. */
export const FACTOR: Readonly<Record<string, number>> = {
  halfMask: 10,
  poweredHood: 25,
  fullFace: 50,
  airline: 1000,
  ffp3: 20,
  halfP3: 20,
  fullP3: 40,
  th3: 40,
  airlineFlow: 40,
  airlineDemand: 1000,
};
