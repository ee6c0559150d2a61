/** The user's lengths at the edge, metres within. */
import { convert, type UnitSystem } from '@roughsill/core';

export const toMetres = (v: number, units: UnitSystem): number => convert(v, units === 'ft' ? 'ft' : 'm', 'm');
export const fromMetres = (m: number, units: UnitSystem): number => convert(m, 'm', units === 'ft' ? 'ft' : 'm');
export const lengthStep = (units: UnitSystem): number => (units === 'ft' ? 0.25 : 0.05);
