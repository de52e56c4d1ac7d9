/** Conditions that bear on oils, as they are called in sentences. */
export const oilConditions: readonly { readonly id: string; readonly label: string }[] = [
  {"id": "pregnancy", "label": "pregnant"},
  {"id": "breastfeeding", "label": "breastfeeding"},
  {"id": "epilepsy", "label": "epilepsy or seizures"},
  {"id": "asthma", "label": "asthma"},
  {"id": "hypertension-uncontrolled", "label": "uncontrolled high blood pressure"},
  {"id": "hypotension", "label": "low blood pressure or faints"},
  {"id": "anticoagulants", "label": "takes blood thinners"},
  {"id": "aspirin-allergy", "label": "reacts to aspirin or salicylates"},
  {"id": "bleeding-disorder", "label": "bleeding disorder"},
  {"id": "g6pd-deficiency", "label": "G6PD deficiency"},
  {"id": "oestrogen-sensitive-cancer", "label": "oestrogen-sensitive cancer, now or past"},
  {"id": "kidney-disease", "label": "kidney disease"},
  {"id": "liver-disease", "label": "liver disease"},
  {"id": "diabetes-medication", "label": "takes diabetes medicine"},
  {"id": "multiple-medication", "label": "takes several prescription medicines"},
  {"id": "sensitive-skin", "label": "sensitive skin"},
  {"id": "broken-skin", "label": "broken skin in the area"},
  {"id": "atopic-eczema", "label": "atopic eczema"},
  {"id": "age-under-2", "label": "under 2 years"},
  {"id": "age-under-6", "label": "under 6 years"},
  {"id": "age-under-10", "label": "under 10 years"}
];
