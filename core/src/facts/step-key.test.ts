import fc from 'fast-check';
import { METHOD_IDS, PART_KINDS, RESIDUES } from './vocabulary';
import { HOLD_NAMES, holdKey, holdText, readHold, stepText, type HoldKey } from './step-key';

test('a text is read back as the key that wrote it, whatever it names', () => {
  const word = <T>(words: readonly T[]) => fc.constantFrom(...words);
  const keys: fc.Arbitrary<HoldKey> = fc.oneof(
    fc.record({ hold: fc.constant('bare' as const), part: word(PART_KINDS), method: word(METHOD_IDS) }),
    fc.record(
      { hold: fc.constant('moldClean' as const), part: word(PART_KINDS), method: word(METHOD_IDS) },
      { requiredKeys: ['hold', 'part'] },
    ),
    fc.record(
      {
        hold: fc.constant('cleanBefore' as const),
        residue: word(RESIDUES),
        part: word(PART_KINDS),
        method: word(METHOD_IDS),
        half: fc.constant('coarse' as const),
      },
      { requiredKeys: ['hold', 'residue', 'part', 'method'] },
    ),
    fc.record({ hold: fc.constant('clean' as const), residue: word(RESIDUES) }),
    fc.record({ hold: fc.constant('seen' as const), sign: fc.constant('gelRuns' as const), nth: word(['1', '2.part-flat', '3.final']) }),
    fc.record({ hold: fc.constant('coatAir' as const), product: word(['matEmulsion', 'own7']) }),
  );
  fc.assert(fc.property(keys, (key) => expect(readHold(holdText(key))).toEqual(key)));
});

test('no two of them share a text: one that names nothing is read as itself', () => {
  const plain = HOLD_NAMES.map((hold) => holdKey(hold as never)).map((key) => ({ key, text: holdText(key) }));
  expect(new Set(plain.map((x) => x.text)).size).toBeGreaterThan(50);
  expect(readHold('growth-sheet')).toEqual({ hold: 'growthOne' });
  expect(readHold('growth-sheet.two')).toEqual({ hold: 'growthTwo' });
  expect(readHold('gas-tight')).toEqual({ hold: 'gasTight' });
  expect(readHold('gas-tight.after')).toEqual({ hold: 'gasTightOf', when: 'after' });
  expect(readHold('no-such-check')).toBeNull();
  expect(stepText({ step: 'remove', part: 'flat', half: 'coarse' })).toBe('remove.flat.coarse');
});

// One of each kind, as logs and files of November 2026 hold them: none of these ever changes. What is new is added.
const WRITTEN =
  `adhesion air-runs alarm-covered alarm-uncovered apart as-found asbestos-beside asbestos-entered bare.flat.infrared biocide-gone biocide-ready breathing-air burns-ready cause-cured chalk clean.alkali.before.flat.infrared.coarse clean.alkali cleaned clearance coat-air.matEmulsion containment-up dew-point dry.before.flat.infrared.coarse dust-gone dust-kept edges-hold.flat.infrared event.spill fibres-gone fibres-ready fire-watch flames-out gas-tight gas-tight.after glass-eased.rePutty goods-clear goods-told growth-sheet growth-sheet.two handed-over heat-apart heater-cold heater-waited hot-clear kit-on.halfMask access.tower locked-out machine.vacuum-1 mist-kept.matEmulsion mist-wind.matEmulsion moisture mold-clean.flat.infrared near.drain nests papers piece-cold poison-gone poison-ready profile putty-skin.rePutty rags rebate-dry.rePutty released repair-answered repaired.rePutty salts-gone seen.gelRuns.2 silicone-gone smoke-daily soft-grit stain-dry still-sound strokes-unmasked vents-open verified washed wind wipe-air wiring-dead withdrawn`.split(
    /\s+/,
  );

test('what older files, logs and phones hold is read for ever', () => {
  expect(WRITTEN.filter((text) => readHold(text) === null || holdText(readHold(text) as HoldKey) !== text)).toEqual([]);
  expect(HOLD_NAMES.filter((hold) => !WRITTEN.some((text) => readHold(text)?.hold === hold))).toEqual([]);
  // Texts that were written before they named the method or the mask.
  expect(readHold('bare.flat')).toEqual({ hold: 'bare', part: 'flat' });
  expect(readHold('edges-hold.turned')).toEqual({ hold: 'edgesHold', part: 'turned' });
  expect(readHold('kit-on')).toEqual({ hold: 'kitOn' });
});
