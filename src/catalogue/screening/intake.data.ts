/** How the intake opens each group: one plain question that, answered with no, closes the whole group. */
export const gateRows = [
  [
    'Heart and vessels',
    'Anything with your heart, blood vessels, blood pressure or swelling?',
    'clots, varicose veins, high or low pressure, irregular beat, stroke, fainting, swollen arms or legs',
  ],
  [
    'Cancer and its treatment',
    'Have you ever had cancer, or lymph nodes taken out?',
    'now or in the past; operations, radiotherapy, chemotherapy, tablets',
  ],
  [
    'Infection and fever',
    'Any infection now, or skin infections in the past?',
    'red hot skin, lumps or sore glands, shingles, fungus, warts, weak defences',
  ],
  [
    'Skin',
    'Anything about your skin?',
    'wounds, rashes, rosacea, acne, eczema, psoriasis, moles that change, bruises, very sensitive or thin skin',
  ],
  [
    'Nerves and feeling',
    'Anything about nerves, feeling, balance or headaches?',
    'numb places, fits, migraine, dizziness, trouble with heat or cold',
  ],
  [
    'Bones and joints',
    'Anything about bones, joints, back, neck or jaw?',
    'fractures, brittle bones, neck injury, disc, inflamed or replaced joints, jaw pain',
  ],
  [
    'Hormones and metabolism',
    'Anything about kidneys, liver, thyroid or blood sugar?',
    'diabetes, dialysis, overactive thyroid, fluid in the belly',
  ],
  [
    'Pregnancy',
    'Are you pregnant, or have you given birth in the last months?',
    'also breastfeeding, heavy periods, a coil that hurts',
  ],
  [
    'Breathing',
    'Anything about lungs, breathing or sinuses?',
    'asthma, long-standing lung disease, bronchitis, blocked or inflamed sinuses',
  ],
  [
    'Digestion and belly',
    'Anything about digestion or the belly?',
    'operations, bowel inflammation, hernia, constipation',
  ],
  [
    'Recent procedures',
    'Any operation, scar, injection, peel, laser or dental work?',
    'stitches, drains, scars, liposuction, lifts, fillers, needling, waxing',
  ],
  [
    'Medicines',
    'Do you take medicines, creams or tablets?',
    'blood thinners, pain or sleeping tablets, acne treatment, many medicines',
  ],
  ['Allergies', 'Any allergies?', 'nuts, sesame, latex, scents, aspirin'],
  [
    'Devices and implants',
    'Anything in or on your body?',
    'port, pacemaker, pump, sensor, metal, stoma, lenses, piercings',
  ],
  [
    'Comfort and consent',
    'Anything that would make you uncomfortable, or that you do not want?',
    'areas not to be touched, closed rooms, touch, pressure, speaking up',
  ],
] as const;
