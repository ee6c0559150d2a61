/**
 * Every sentence that a painter reads, in one place. A rule knows its id; this table knows its words.
 * `{asked}` is the fact found, `{asked.limit}` its limit. `lifts` says what would remove the obstacle.
 */
interface Words {
  readonly says: string;
  readonly lifts?: string;
}

export const RULE_WORDS = {
  // Lead: what is known
  'lead.noCoats': { says: 'No coating on it: the bare material was recorded, all coats counted.' },
  'lead.coatAfterBan': { says: 'This coat went on in {applied}, after lead paint left the shops ({applied.limit}).' },
  'lead.builtAfterBan': { says: 'Made in {built}, not before {built.limit}: lead paint is not presumed.' },
  'lead.ageUnknown': { says: 'The year is not known. Until it is, or a test has seen the coat, lead counts as present.', lifts: 'Find the year built, or test.' },
  'lead.assumedByAge': { says: 'Made in {built}, before {built.limit}: lead is assumed until a test has seen this coat.', lifts: 'Test through all coats.' },
  'lead.spotChanged': { says: 'A swab changed colour. It counts as lead; a false positive is possible, and only a lab or XRF can say so.' },
  'lead.spotUnchanged': { says: 'A recognised kit stayed unchanged on this coat.' },
  'lead.spotUnclear': { says: 'A swab was unclear: it neither convicts nor clears.', lifts: 'Send a chip of all coats to a lab.' },
  'lead.spotNoThreshold': { says: 'An unchanged swab clears nothing here: UK rules know no amount of lead that is too small.', lifts: 'Send a chip of all coats to a lab.' },
  'lead.spotKitUnproven': { says: 'The kit is not a recognised one: an unchanged swab clears nothing.', lifts: 'Use a recognised kit, or a lab.' },
  'lead.labWaiting': { says: 'A chip is at the lab. Until its answer is in, lead counts as present.' },
  'lead.anyAmount': { says: 'Measured {result}. Under UK rules any reported amount counts as found.' },
  'lead.noneReported': { says: 'The lab reported no lead.' },
  'lead.overLimit': { says: 'Measured {result}: at or above the limit of {result.limit}, this is lead paint.' },
  'lead.underLimit': { says: 'Measured {result}: below the limit of {result.limit}. Any lead at all still counts for the worker’s air.' },
  'lead.xrfInconclusive': { says: 'XRF read {result}, inside the instrument’s inconclusive range of {low} to {high}: neither yes nor no.', lifts: 'Send a chip of all coats to a lab.' },
  'lead.depthUnresolved': { says: 'The test cannot tell which coat holds it, so every coat that it reached counts as lead.', lifts: 'Cut a notch and swab coat by coat.' },
  'lead.inAnotherCoat': { says: 'Lead was found in another coat of this stack; this one has not been cleared.' },
  'lead.testStoppedAbove': { says: 'A test came out clear above this coat, but it did not reach it. A clear face says nothing of the coats below.', lifts: 'Cut through all coats and test again.' },
  'lead.testsDisagree': { says: 'Two tests disagree. The stricter holds until a record replaces one of them and says why.', lifts: 'Send a chip of all coats to a lab.' },
  'lead.foundOnRemovedTwin': { says: 'Lead was found on a surface of this kind that was taken off this list, in the same place. Removing it from the list does not remove the lead.', lifts: 'Bring the old surface back, or withdraw its reading with a reason.' },

  // Asbestos
  'asbestos.notSuspect': { says: 'No textured coating was recorded here.' },
  'asbestos.ageUnknown': { says: 'A textured coating of unknown year: asbestos counts as present.', lifts: 'Have it sampled by a licensed person.' },
  'asbestos.presumed': { says: 'A textured coating from {built}, no later than {built.limit}: asbestos is presumed until samples say otherwise.', lifts: 'Have it sampled by a licensed person.' },
  'asbestos.afterBan': { says: 'The textured coating dates from {built}, after {built.limit}.' },
  'asbestos.noDisturbing': { says: 'Asbestos is not ruled out ({asbestos}): nothing may scrape, wet, sand or strip this coating. Leave it, seal it, cover it, or call a licensed remover.', lifts: 'Samples of every layer, all negative.' },
  'asbestos.noDisturbingUk': { says: 'Asbestos is not ruled out ({asbestos}): nothing may disturb this coating. Leave it, seal it, cover it, or call a licensed contractor.', lifts: 'Samples through the depth, none with asbestos.' },
  'asbestos.putty': { says: 'Old glazing putty can hold asbestos. Keep off the putty itself until it has been sampled.' },

  // Next test
  'next.nothingToTest': { says: 'Every coat is accounted for.' },
  'next.waitForLab': { says: 'A lab usually answers within {days}. Until then plan as if it were lead.' },
  'next.labSettles': { says: 'What is known does not settle it. A chip of all coats, sent to a lab, does.' },
  'next.foundIsEnough': { says: 'Lead is found and its coat is known: more tests would not change how you work.' },
  'next.whichCoat': { says: 'Lead is found, but not in which coat. A notch, swabbed coat by coat, may free the top ones for light work.' },
  'next.labOnly': { says: 'Under UK rules only a lab result can clear a coat.' },
  'next.noRecognisedKit': { says: 'Your firm has no recognised kit, so only a lab or XRF can clear a coat.' },
  'next.notchSeesAll': { says: 'Cut a notch through all coats to the bare material and swab each. A swab on the face sees only the face.' },

  // Depth
  'depth.clearNeedsBare': { says: 'A clear finish wants bare material: any film left blocks the stain.' },
  'depth.rubbingLead': { says: 'It rubs or can be chewed, lead is {leadInReach}, and a child or a pregnancy is not ruled out: take it off, or replace the piece.' },
  'depth.toSoundLayer': { says: 'Loose paint comes off until it holds. Sound, bonded coats may stay and be feathered.' },
  'depth.checked': { says: 'Checked paint is worked back to a sound layer.' },
  'depth.soundStays': { says: 'Nothing fails, and no clear finish is wanted: taking it all off is rarely the goal.' },

  // Fit of a method
  'fit.nothingAgainst': { says: 'Nothing speaks against it on {part} {material}.' },
  'fit.material': { says: 'Not a method for {material}.' },
  'fit.partOutOfReach': { says: 'The tool does not reach into {part} work without gouging it.', lifts: 'Use it on the flats, and another method here.' },
  'fit.notDeepEnough': { says: 'It goes {bite}, but this surface needs {required}.', lifts: 'Change the aim, or choose a deeper method.' },
  'fit.takesSoundPaint': { says: 'It takes off sound paint that could stay.' },
  'fit.oilSoaked': { says: 'Oil-soaked timber holds no coating.', lifts: 'Replace the piece.' },
  'fit.leaveSound': { says: 'Sound paint that is kept up and left alone is not an emergency. Look at it again every year.' },
  'fit.overLoose': { says: 'A new film over loose paint comes off with it.', lifts: 'Scrape to a sound edge first.' },
  'fit.damp': { says: 'It is wet or moldy. Find and cure the cause first: paint does not finish a surface that stays wet.' },

  // Lead and methods
  'lead.dryHand': { says: 'Dry scraping or sanding makes lead dust, and lead is {leadInReach} in a coat that this work reaches.', lifts: 'Work wet, or show by test that there is no lead down to that depth.' },
  'lead.powerNoHepa': { says: 'Power sanding without a HEPA-shrouded exhaust is forbidden where lead is {leadInReach}.', lifts: 'A HEPA shroud, or a clear test through all coats.' },
  'lead.powerNoHepaUk': { says: 'Power sanding without extraction is not acceptable where lead is {leadInReach}.', lifts: 'H-class extraction at the tool, or a clear test through all coats.' },
  'lead.blastOpen': { says: 'Blasting without HEPA exhaust is forbidden where lead is {leadInReach}.', lifts: 'A clear test through all coats.' },
  'lead.blastOpenUk': { says: 'Open blasting throws lead where it is {leadInReach}.', lifts: 'A clear test through all coats.' },
  'lead.openFlame': { says: 'Open flame is forbidden on lead paint; hot tools stay below {limit}. Lead is {leadInReach} here.' },
  'lead.openFlameUk': { says: 'Open flame fumes lead, and lead is {leadInReach} here.' },
  'lead.hotAirOff': { says: 'Your firm does not use hot air on lead: the fume is invisible. Lead is {leadInReach}.', lifts: 'Infrared instead; or the firm’s own setting, within the legal limit.' },
  'lead.hotAirLimit': { says: 'Keep the gun below {limit}, keep it moving, and stop at the first smoke.' },
  'lead.infraredCool': { says: 'Infrared stays below {limit}, so that lead does not fume. Watch for the first smoke; no timing works.' },
  'lead.keepWet': { says: 'Lead is {leadInReach}: it stays down only while it stays wet. Being wet is not a control by itself.' },
  'lead.hepaShroud': { says: 'Only with the shroud and HEPA exhaust working: no dust to be seen outside it.' },
  'lead.untested': { says: 'Lead is {leadInReach}, so the work is planned as if it were there.', lifts: 'Test through all coats.' },
  'lead.traceDust': { says: 'Below the lead-paint limit, yet lead is in it: the rules for the worker’s air have no lower limit for dusty work.' },
  'lead.notCertified': { says: 'Paid work that disturbs more than minor amounts of lead paint in housing needs a certified firm. Lead is {leadInReach}.', lifts: 'Certification, a certified partner, or a clear test.' },
  'lead.windowNeverMinor': { says: 'Taking out a window is never minor work: it needs a certified firm.', lifts: 'Certification, or a certified partner.' },
  'lead.wholePieceCounts': { says: 'A piece taken out counts with its whole painted area, and window replacement is never minor work.' },
  'lead.rubsChild': { says: 'It rubs or can be chewed, lead is not ruled out, and neither is a child or a pregnancy in the house: a film over it will wear through.', lifts: 'Strip it, replace it, or show by test that there is no lead.' },
  'lead.rubs': { says: 'It rubs or can be chewed and lead is not ruled out: a film over it will wear through and make dust.' },
  'lead.staysBelow': { says: 'Lead stays underneath ({leadAnywhere}). Record it, tell the owner, look again every year.' },

  // Strippers
  'caustic.tannin': { says: 'Caustic blackens tannin wood and raises its grain.', lifts: 'A pH-neutral solvent gel.' },
  'caustic.oilyWood': { says: 'Alkali is hard on oily wood: trial square first.' },
  'caustic.metal': { says: 'Caustic attacks {material} and gives off hydrogen.' },
  'caustic.inside': { says: 'Alkali must be washed out with plenty of water, which a room does not allow. What stays ruins the next coat.', lifts: 'Take the piece to the bench or outdoors; else infrared.' },
  'caustic.firmOff': { says: 'Your firm has put caustic on timber out of use.', lifts: 'The firm’s own setting.' },
  'caustic.trialFirst': { says: 'Trial square first: superb on some films, useless on others.' },
  'caustic.burns': { says: 'It burns skin and eyes, dry as well as wet. Eyewash for 15 minutes stands ready before the tub is opened.' },
  'caustic.veneer': { says: 'Water and alkali lift veneer and glue lines.' },
  'milk.noCasein': { says: 'It is made for milk paint, and no casein coat was recorded.', lifts: 'Try a drop of alkali on the coat and record its binder.' },
  'solvent.casein': { says: 'Ordinary solvent strippers do not touch casein, and there is a casein coat here.', lifts: 'The alkaline powder for milk paint.' },
  'solvent.inside': { says: 'Vapour collects indoors: air moving out, no flame, no spark, vapour cartridges as well as dust filters.' },
  'solvent.putty': { says: 'Keep it off the putty and rinse before it creeps under the glass.' },

  // Heat
  'heat.flameNever': { says: 'A torch chars timber and starts fires behind it: never on old joinery.' },
  'heat.glass': { says: 'Glass cracks when one spot is hot: shield it and warm the putty side evenly.' },
  'heat.veneer': { says: 'Heat lifts the veneer and opens the glue.' },
  'heat.scorch': { says: 'Scorch shows under a clear finish: stop before the wood colours.' },
  'heat.fireWatch': { says: 'Someone watches for {limit} after the last heat. Old dust in cavities smoulders.' },
  'steam.dryOut': { says: 'Steam soaks the wood and loosens glue: days of drying before the primer.' },

  // Sanding and blasting
  'sand.glass': { says: 'Grit scratches glass: tape it and stop short.' },
  'sand.noShroud': { says: 'Your firm has no HEPA-shrouded sander.', lifts: 'Hire one, and say so in the firm’s settings.' },
  'sand.dustCloud': { says: 'No lead in reach, but the dust fills the room: filter mask, sheet and a vacuum at the tool.' },
  'blast.inside': { says: 'Blasting is not for inside rooms.' },
  'blast.hardTimber': { says: 'Hard grit ruins timber for good.' },
  'blast.softTrial': { says: 'A soft sweep only after a trial: it raises grain and eats the early wood.' },

  // Choice
  'choice.byPerson': { says: 'You chose {method}.' },
  'choice.insisted': { says: 'You kept {method} against practice: {note}. It is on record.' },
  'choice.refused': { says: '{method} was chosen, but it is blocked now, so it is not in the plan.' },
  'choice.bestForAim': { says: 'Nobody has chosen yet. {method} ranks first for your aim.' },
  'choice.allBlocked': { says: 'Every method is blocked on this part. Stop and ask.' },

  // Minor work
  'minor.noClass': { says: 'UK rules know no minor amount: lead work is planned as lead work.' },
  'minor.within': { says: '{disturbed} of suspect coating is disturbed here, within the {disturbed.limit} of minor work. All work in one room within 30 days counts as one job.' },
  'minor.over': { says: '{disturbed} of suspect coating is disturbed here, over the {disturbed.limit} of minor work. All work in one room within 30 days counts as one job.' },

  // Protection
  'protect.leadWork': { says: 'Lead is {leadInReach} and the work disturbs it: contain, dress, clean and verify.' },
  'protect.noHazardDisturbed': { says: 'No hazard is disturbed (lead: {leadInReach}): ordinary sheets and care.' },
  'protect.sheetInside': { says: 'Floor sheet {beyond} beyond {width} of work on each side and outwards, or to the wall: {area}.' },
  'protect.sheetOutside': { says: 'Ground sheet {beyond} beyond {width} of work at each end and outwards: {area}.' },
  'protect.sheetToWalls': { says: 'The room is smaller than that: the sheet stops at its walls.' },
  'protect.screen': { says: 'The boundary is {boundary} away, nearer than {boundary.limit}: an upright screen on a frame.' },
  'protect.boundaryUnknown': { says: 'The distance to the boundary is not known: plan an upright screen unless it is at least {limit}.', lifts: 'Measure the distance to the boundary.' },
  'protect.noScreen': { says: 'No boundary is near enough to need a screen.' },
  'protect.openingsNear': { says: 'Doors and windows within {within} are closed, and those on all floors below.' },
  'protect.sealRoom': { says: 'Windows closed, ducts closed and covered, the working door under a double flap, what stays in the room wrapped and taped.' },
  'protect.bags': { says: 'For {area} of sheet and {film} of film taken off. Bag before it leaves the area.' },
  'protect.sign': { says: 'At every way in, before the start, until verification has passed; in a language that the people there read.' },
  'protect.noSign': { says: 'No hazard is disturbed: no warning sign is needed.' },
  'exposure.none': { says: 'No lead is disturbed: no exposure is presumed.' },
  'exposure.presumed': { says: 'Until your own air samples say less, this work counts as up to {upper} of lead in the air.' },
  'exposure.presumedTop': { says: 'Until your own air samples say less, this work counts as more than {upper} of lead in the air.' },
  'exposure.presumedUk': { says: 'UK rules ask for your own assessment. As a planning figure this work is taken as up to {upper} of lead in the air.' },
  'ppe.noRespirator': { says: 'No respirator is called for by lead. A dust mask is still sense for any sanding.' },
  'ppe.noneCovers': { says: 'No respirator on the list covers this. Change the method.' },
  'ppe.airline': { says: 'No filter is proven high enough: supplied air with a protection factor of {apf}.' },
  'ppe.covers': { says: '{respirator}: factor {apf} times the limit of {leadAir} covers {maximum}, and {upper} is presumed.' },
  'ppe.vapourToo': { says: 'Vapour and dust need different filters: fit both.' },
  'kit.leadClothes': { says: 'Clothes and boots that stay in the work area: lead goes home on cuffs.' },
  'kit.washHands': { says: 'Hands and face are washed before eating, drinking, smoking and leaving.' },
  'kit.hepa': { says: 'HEPA vacuum for cleaning; a shop vacuum blows it out again.' },
  'kit.eyes': { says: 'Chips fly.' },
  'kit.gloves': { says: 'Gloves against dust and wet.' },
  'kit.solventGloves': { says: 'Butyl or laminate gloves: many strippers pass nitrile in minutes. Check the glove maker’s table.' },
  'kit.causticGloves': { says: 'Long nitrile, neoprene or butyl gloves. Never PVA with a watery caustic.' },
  'kit.causticFace': { says: 'Full face shield over goggles for caustic.' },
  'kit.eyewash': { says: 'Eyewash that runs for 15 minutes, within 10 seconds’ walk, tried before the tub is opened.' },
  'kit.keepWet': { says: 'Mister or pump sprayer, labelled with what is in it.' },
  'kit.heat': { says: 'Heat gloves for the scraper hand.' },
  'kit.fire': { says: 'Extinguisher within reach, and a watch of {watch} afterwards.' },
  'kit.noise': { says: 'Hearing protection at power tools.' },

  // What is left, and primers
  'left.bare': { says: '{area} will be bare.' },
  'left.partly': { says: 'About {area} will be bare, in patches: measure on the day.' },
  'left.coated': { says: 'The old film stays and is scuffed.' },
  'topcoat.byPerson': { says: 'You chose {topcoat}.' },
  'topcoat.default': { says: 'No topcoat chosen yet: {topcoat} is usual on {material} here.' },
  'prime.soundCoats': { says: 'Sound, keyed coats need no primer under {topcoat}. Spot-prime what is cut through.' },
  'prime.acrylic': { says: 'Bare softwood under a waterborne finish: acrylic wood primer, two thin coats.' },
  'prime.alkyd': { says: 'Bare softwood outdoors or under a solvent finish: alkyd wood primer, worked well into the end grain.' },
  'prime.tannin': { says: 'Tannin wood bleeds through waterborne paint: stain-blocking primer.' },
  'prime.oilyWood': { says: 'Oily wood: wipe with solvent, prime at once with a primer made for it, trial first.' },
  'prime.clear': { says: 'Under a clear finish: sanding sealer, no pigmented primer and no shellac on the knots.' },
  'prime.knots': { says: 'Knots: two coats of shellac knotting over each and a hand round it, about {share} of the bare area.' },
  'prime.knotsUnknown': { says: 'Knots are not recorded. Allow shellac knotting for about {share} of the bare area and look when it is bare.' },
  'prime.afterAlkali': { says: 'Alkali was used: prime only after the rinse water is neutral, or the primer turns to soap.' },
  'prime.waterOverSolvent': { says: 'Waterborne over a solvent primer: let it harden its full time and scuff it first.' },
  'prime.limePlaster': { says: 'Lime plaster stays open to vapour: a mineral or thin stabilising primer, nothing tight.' },
  'prime.plaster': { says: 'Bare plaster: one thin sealing coat.' },
  'prime.masonry': { says: 'Alkali-resistant primer once the wall is dry and below pH 10; limewash or silicate on historic lime work.' },
  'prime.steel': { says: 'Zinc-phosphate primer on bright, dry metal the same day.' },
  'prime.galvanised': { says: 'Galvanised metal: etch or wash primer; an alkyd straight on it turns to soap.' },
  'prime.aluminiumNever': { says: 'Aluminium that was never painted is best left so. If it must be: degrease, scuff, etch primer.' },
  'prime.heater': { says: 'Heater: heat-resistant primer on cold metal, valve shut.' },
  'coat.interval': { says: '{low} to {high} between coats at about 20 °C; cold and damp stretch it. The data sheet rules.' },

  // Order of removal
  'order.messyFirst': { says: 'This goes first: stripper drips from {part} work onto what lies below, so clean parts come last.' },
  'order.noHeatOnSolvent': { says: 'Heat comes later on the same piece: no heat until every trace of solvent has gone.' },
  'order.twoPassRule': { says: 'Stop when an edge has held two passes, from two angles. Never gouge.' },
  'order.scuffGrit': { says: 'Scuff with 220 to 320, never coarser than 220.' },
  'order.bareGrit': { says: 'Bare for stain: 36 then 60 on flats, rails to 100.' },
  'order.breakThrough': { says: 'If you break through into an older coat, stop: that spot goes back under lead control and back to priming.' },

  // Steps
  'step.ask': { says: 'Stop and ask: no method is allowed on {parts}' },
  'step.leave': { says: 'Leave it, record it, and look again in a year' },
  'step.prepare': { says: 'Lay out tools and mixes for {methods}' },
  'step.protect': { says: 'Lay {area} of sheet, close the area, dress' },
  'step.cover': { says: 'Cover the floor and mask' },
  'step.remove': { says: '{part}: {method}, {area}' },
  'step.rinse': { says: 'Rinse and wipe while it is still wet: {residue}' },
  'step.dry': { says: 'Let it dry' },
  'step.check': { says: 'Check the surface before anything goes on' },
  'step.repair': { says: 'Fill, re-putty and seal joints' },
  'step.knots': { says: 'Knots: {product}, {coats} coats' },
  'step.prime': { says: 'Prime: {product}, {area}, coats: {coats}' },
  'step.coat': { says: 'Coat: {product}, {area}, coats: {coats}' },
  'step.cleanUp': { says: 'Clean up' },
  'step.cleanUpLead': { says: 'Clean up by the lead rules' },
  'step.verifyInside': { says: 'Verify: wipe and compare with the card' },
  'step.verifyOutside': { says: 'Verify: look over ground, sills and beds' },
  'prep.bench': { says: 'On the bench: number the piece and its panes, so that each goes back where it came from.' },
  'prep.eyewashFirst': { says: 'Eyewash and rinse water stand ready before a caustic is opened.' },
  'prep.testFirst': { says: 'A test is still open. The plan treats lead as present until it is in.' },
  'rinse.solvent': { says: 'Wipe with white spirit, then a clean cloth, while the residue is soft. Dried residue costs several times the work.' },
  'rinse.alkali': { says: 'Flood and brush with clear water, neutralise with dilute vinegar, rinse again. Never hurry this one.' },
  'rinse.water': { says: 'Wipe down with clean water and a clean cloth; the slurry goes into the bag, not down a drain.' },
  'rinse.dust': { says: 'Vacuum with HEPA, then wipe with damp microfibre. No waxed cloth before waterborne paint.' },
  'rinse.grit': { says: 'Vacuum all grit out of joints and seams.' },
  'rinse.char': { says: 'Scrape and sand off any charred wood: paint does not hold on char.' },
  'repair.joints': { says: 'Open joints were recorded: seal them, or water gets behind the new film.' },
  'clean.inside': { says: 'Chips up, mist the sheet, fold it dirty side in, bag it; then 2 ft beyond, high to low, HEPA vacuum and wet wipe.' },
  'clean.outside': { says: 'Chips up, mist the sheet, fold it dirty side in, bag it. Clean up before any rain.' },
  'verify.card': { says: 'One wet cloth for each sill and for each floor part of less than {limit}. Darker than the card: clean and wipe again. Fails twice: wait an hour or until dry, then one dry cloth.' },

  // Checks that must pass
  'gate.causeCured': { says: 'The cause of the damp is found and cured' },
  'gate.containmentUp': { says: 'Sheet, seals and signs are up, and nobody else is inside' },
  'gate.kitOn': { says: 'Everybody inside wears what is listed, fit checked' },
  'gate.wind': { says: 'Wind is below {limit} and no rain is due before clean-up' },
  'gate.edgesHold': { says: 'Every edge has held two passes from two angles' },
  'gate.bareReached': { says: 'Nothing is left in the corners and quirks' },
  'gate.clothClean': { says: 'A clean cloth stays clean ({residue})' },
  'gate.alkaliGone': { says: 'pH paper on the wet surface reads like the rinse water, between 6 and 8.5' },
  'gate.moisture': { says: 'Moisture meter reads at most {limit}, set for the species' },
  'gate.moistureMineral': { says: 'The surface reads dry, and a taped sheet stays clear for 16 hours' },
  'gate.adhesion': { says: 'Tape pulled from a cross-cut brings nothing with it; no oil or stain bleeds' },
  'gate.dewPoint': { says: 'The surface is at least {limit} above the dew point' },
  'gate.rags': { says: 'Oily rags lie flat outdoors or under water in a metal can: they set themselves on fire' },
  'gate.cardPasses': { says: 'Every cloth matches the card' },
  'gate.nothingVisible': { says: 'No chip, dust or debris to be seen' },
  'gate.stillSound': { says: 'It is still sound: no chips, no chalk, no rubbing' },
} as const satisfies Record<string, Words>;

export type RuleId = keyof typeof RULE_WORDS;

/** Words of the vocabularies: what a code is called on the screen and inside sentences. */
export const WORDS: Readonly<Record<string, string>> = {
  // states and verdicts
  unknown: 'unknown', assumed: 'assumed', waiting: 'waiting', found: 'found', notFound: 'not found', go: 'go', care: 'with care', blocked: 'blocked',
  // materials
  softwood: 'softwood', tanninWood: 'tannin hardwood', oilyWood: 'oily wood', plywood: 'plywood or veneer', limePlaster: 'lime plaster', gypsumPlaster: 'gypsum plaster', board: 'board', concrete: 'concrete', brick: 'brick', stone: 'stone', mildSteel: 'mild steel', castIron: 'cast iron', galvanised: 'galvanised steel', aluminium: 'aluminium',
  // binders
  oil: 'oil paint', alkyd: 'alkyd gloss', acrylic: 'acrylic', distemper: 'distemper', limewash: 'limewash', casein: 'milk paint (casein)', shellac: 'shellac', lacquer: 'lacquer', polyurethane: 'polyurethane', epoxy: 'epoxy', bitumen: 'bitumen', textured: 'textured coating',
  // parts
  flat: 'flat', moulded: 'moulded', turned: 'turned', tight: 'tight corner', besideGlass: 'beside glass',
  // conditions
  blistered: 'blistered', flaking: 'flaking', checked: 'checked', powdery: 'powdery', runs: 'runs', oilSoaked: 'oil-soaked', moldy: 'moldy', wet: 'wet', openJoints: 'open joints', rubbing: 'rubs in use',
  sound: 'sound', failing: 'failing',
  // aims
  keepSound: 'keep sound paint', bareClear: 'bare for a clear finish', fastest: 'fastest', cheapest: 'cheapest',
  // bites and depths
  none: 'nowhere near the film', skin: 'only into the skin of the top coat', loose: 'to a sound layer', bare: 'down to the bare material',
  // elements
  doubleHungSash: 'double-hung sash', casing: 'casing', sill: 'sill', door: 'door', baseboard: 'baseboard', wainscot: 'wainscot', wall: 'wall', ceiling: 'ceiling', railing: 'railing', siding: 'siding', heater: 'heater', plinth: 'plinth',
  // methods
  leave: 'leave and look again', overcoat: 'clean, scuff, overcoat', encapsulate: 'seal over', wetScrapeLoose: 'wet-scrape what is loose', dryScrapeLoose: 'dry-scrape what is loose', wetSand: 'wet-sand', drySand: 'dry hand-sand', hepaSand: 'power sander with HEPA shroud', powerSand: 'power sander, no shroud', solventGel: 'solvent gel under film', causticPoultice: 'caustic poultice', milkPowder: 'alkaline powder for milk paint', infrared: 'infrared, then scrape', heatGun: 'hot air, then scrape', steam: 'steam, then scrape', torch: 'open flame', softBlast: 'soft-grit sweep', hardBlast: 'hard-grit blast', replacePart: 'replace the piece',
  // coatings
  waterborneEggshell: 'waterborne eggshell', waterborneGloss: 'waterborne gloss', alkydGloss: 'alkyd gloss', exteriorAcrylic: 'exterior acrylic', matEmulsion: 'mat emulsion', clearVarnish: 'clear varnish', metalEnamel: 'metal enamel',
  acrylicWood: 'acrylic wood primer', alkydWood: 'alkyd wood primer', knotting: 'shellac knotting', stainBlock: 'stain-blocking primer', sandingSealer: 'sanding sealer', bonding: 'bonding primer', plasterSealer: 'plaster sealer', mineral: 'mineral primer', alkaliResistant: 'alkali-resistant primer', zincPhosphate: 'zinc-phosphate primer', etch: 'etch primer', heatResistant: 'heat-resistant primer',
  // residues and consumables
  dust: 'dust', solvent: 'solvent residue', alkali: 'alkali', water: 'slurry', grit: 'grit', char: 'char', stripperGel: 'stripper gel', coverFilm: 'cover film', whiteSpirit: 'white spirit', causticPaste: 'caustic paste', neutraliser: 'dilute vinegar', abrasive: 'abrasive sheets', softGrit: 'soft grit', hardGrit: 'hard grit', encapsulant: 'sealing coat', timber: 'matching timber', blades: 'scraper blades', sheet: 'plastic sheet', wasteBags: 'waste bags', wipeCloths: 'wipe cloths',
  // respirators
  halfMask: 'Half mask with P100 filters', fullFace: 'Full-face mask with P100 filters', poweredHood: 'Powered hood with HEPA filters', airline: 'Supplied-air respirator, pressure demand', ffp3: 'Disposable FFP3', halfP3: 'Half mask with P3 filters', fullP3: 'Full-face mask with P3 filters', th3: 'Powered hood TH3',
  // kit
  coverall: 'hooded coverall', nitrileGloves: 'nitrile gloves', solventGloves: 'solvent-proof gloves', causticGloves: 'long caustic-proof gloves', heatGloves: 'heat gloves', goggles: 'goggles', faceShield: 'face shield', eyewash: 'eyewash, 15 minutes', hearing: 'hearing protection', hepaVacuum: 'HEPA vacuum', mister: 'mister', extinguisher: 'fire extinguisher', washStation: 'wash place', bootCovers: 'boot covers',
  // tests and readings
  notchAllCoats: 'Cut a notch through all coats and swab each', notchForDepth: 'Notch and swab, coat by coat', labAllCoats: 'Send a chip of all coats to a lab', waitForLab: 'Wait for the lab', spot: 'swab', lab: 'lab chip', xrf: 'XRF', withdrawn: 'withdrawn', changed: 'changed colour', unchanged: 'unchanged', unclear: 'unclear',
  // exposure
  class1: 'presumed up to 500 µg/m³', class2: 'presumed up to 2,500 µg/m³', class3: 'presumed above 2,500 µg/m³',
  // steps
  prepare: 'Prepare', protect: 'Protect', remove: 'Remove', rinse: 'Rinse', dry: 'Dry', check: 'Check', repair: 'Repair', prime: 'Prime', coat: 'Coat', cleanUp: 'Clean up', verify: 'Verify', ask: 'Stop and ask',
  // yes, no
  yes: 'yes', no: 'no', inside: 'inside', outside: 'outside', bench: 'on the bench', room: 'room', elevation: 'elevation', partly: 'partly bare', coated: 'coated',
};

/** The word for a code; a name that is not a code is its own word. */
export const say = (code: string): string => WORDS[code] ?? code;
