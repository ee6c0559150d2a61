/** What is lifted, in the unit of the job. */
import { formatMeasure, measure, type UnitSystem } from '@roughsill/core';

export const kgIn = (units: UnitSystem, kg: number): string => formatMeasure(measure(kg, 'kg'), units);
export const weightUnit = (units: UnitSystem) => (units === 'ft' ? ('lb' as const) : ('kg' as const));
