import type { Constituent } from '../../../core/oils/book';

export const constituents: readonly Constituent[] = [
  {"id": "methyl-salicylate", "name": "methyl salicylate", "dermalMaxPercent": 2.4, "dermalMaxFacePercent": 1.2, "reason": "salicylate poisoning and bleeding", "source": "Tisserand & Young 2014", "confidence": "established"},
  {"id": "eugenol", "name": "eugenol", "dermalMaxPercent": 0.5, "dermalMaxFacePercent": 0.5, "reason": "skin sensitisation, slows clotting", "source": "IFRA; Tisserand & Young 2014", "confidence": "established"},
  {"id": "methyl-eugenol", "name": "methyl eugenol", "dermalMaxPercent": 0.02, "dermalMaxFacePercent": 0.02, "reason": "possible carcinogen", "source": "Tisserand & Young 2014", "confidence": "established"},
  {"id": "citral", "name": "citral", "dermalMaxPercent": 0.6, "dermalMaxFacePercent": 0.6, "reason": "skin sensitisation", "source": "IFRA; Tisserand & Young 2014", "confidence": "established"},
  {"id": "cinnamaldehyde", "name": "cinnamaldehyde", "dermalMaxPercent": 0.05, "dermalMaxFacePercent": 0.05, "reason": "skin sensitisation", "source": "IFRA", "confidence": "established"},
  {"id": "safrole", "name": "safrole", "dermalMaxPercent": 0.05, "dermalMaxFacePercent": 0.05, "reason": "possible carcinogen", "source": "Tisserand & Young 2014", "confidence": "established"},
  {"id": "estragole", "name": "estragole", "dermalMaxPercent": 0.12, "dermalMaxFacePercent": 0.12, "reason": "possible carcinogen", "source": "Tisserand & Young 2014", "confidence": "established"},
  {"id": "cineole", "name": "1,8-cineole", "dermalMaxPercent": 20, "dermalMaxFacePercent": 20, "reason": "irritation; breathing of small children near the face", "source": "Tisserand & Young 2014", "confidence": "typical"},
  {"id": "camphor", "name": "camphor", "dermalMaxPercent": 4.5, "dermalMaxFacePercent": 4.5, "reason": "seizures when absorbed in quantity", "source": "Tisserand & Young 2014", "confidence": "established"},
  {"id": "menthol", "name": "menthol", "dermalMaxPercent": 3, "dermalMaxFacePercent": 1, "reason": "burning cold and eye irritation (comfort limit of this project)", "source": "pharmacopoeial use; practice limit", "confidence": "uncertain"},
  {"id": "menthofuran", "name": "menthofuran", "dermalMaxPercent": 0.5, "dermalMaxFacePercent": 0.5, "reason": "liver toxicity", "source": "Tisserand & Young 2014", "confidence": "typical"},
  {"id": "pulegone", "name": "pulegone", "dermalMaxPercent": 1.2, "dermalMaxFacePercent": 1.2, "reason": "liver toxicity", "source": "Tisserand & Young 2014", "confidence": "typical"},
  {"id": "thujone", "name": "thujone (alpha and beta)", "dermalMaxPercent": 0.25, "dermalMaxFacePercent": 0.25, "reason": "nervous system", "source": "Tisserand & Young 2014", "confidence": "typical"},
  {"id": "carvacrol", "name": "carvacrol", "dermalMaxPercent": 1.0, "dermalMaxFacePercent": 0.5, "reason": "irritation", "source": "Tisserand & Young 2014", "confidence": "typical"},
  {"id": "thymol", "name": "thymol", "dermalMaxPercent": 1.0, "dermalMaxFacePercent": 0.5, "reason": "irritation", "source": "Tisserand & Young 2014", "confidence": "typical"},
  {"id": "carvone", "name": "carvone", "dermalMaxPercent": 1.2, "dermalMaxFacePercent": 1.2, "reason": "skin sensitisation", "source": "Tisserand & Young 2014", "confidence": "established"},
  {"id": "geraniol", "name": "geraniol", "dermalMaxPercent": 5.3, "dermalMaxFacePercent": 5.3, "reason": "skin sensitisation", "source": "IFRA", "confidence": "established"},
  {"id": "isoeugenol", "name": "isoeugenol", "dermalMaxPercent": 0.2, "dermalMaxFacePercent": 0.2, "reason": "skin sensitisation", "source": "IFRA", "confidence": "typical"},
  {"id": "farnesol", "name": "farnesol", "dermalMaxPercent": 1.2, "dermalMaxFacePercent": 1.2, "reason": "skin sensitisation", "source": "IFRA", "confidence": "established"},
  {"id": "trans-anethole", "name": "trans-anethole", "dermalMaxPercent": null, "dermalMaxFacePercent": null, "reason": "hormone-like; handled by conditions", "source": "Tisserand & Young 2014", "confidence": "typical"},
  {"id": "furocoumarins", "name": "furocoumarins (bergapten and related)", "dermalMaxPercent": null, "dermalMaxFacePercent": null, "reason": "phototoxic; handled by each oil's phototoxic limit", "source": "IFRA", "confidence": "established"},
  {"id": "linalool", "name": "linalool", "dermalMaxPercent": null, "dermalMaxFacePercent": null, "reason": "oxidises to sensitisers: respect shelf life", "source": "SCCS 2012", "confidence": "established"},
  {"id": "limonene", "name": "limonene", "dermalMaxPercent": null, "dermalMaxFacePercent": null, "reason": "oxidises to sensitisers: respect shelf life", "source": "SCCS 2012", "confidence": "established"}
];
