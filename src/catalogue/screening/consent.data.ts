/** The wording that a new house starts with; each house may write its own. A change makes a new version. */
export const consentParagraphs = [
  'What will be done, where on the body and by whom has been explained to me: light-touch drainage, massage, face work, warm or cool stones and scented oils, as agreed for each visit.',
  'This work can ease swelling and help me rest. It does not replace medical care, and no cure or lasting result is promised.',
  'Usual after-effects are some redness, tiredness, and passing more water for a day.',
  'Before each visit I will say what is new: fever, infection, medicines, operations, injections, swelling, pregnancy, and anything that hurts.',
  'Pain or discomfort ends it. I may stop, change or refuse any part at any time, without giving a reason and at no cost.',
  'I stay covered except where the work is done. Breast, groin, buttocks, belly and the inside of the mouth are only touched if I have ticked them here.',
  'I have said which oils, creams or materials I do not tolerate.',
  'What I have told, what was done and how it went is written down. Only those who treat me here read it; it is kept as long as the law asks, and I may see it, have it corrected or, where the law allows, have it erased.',
  'For clients under age a guardian signs and is present.',
] as const;
