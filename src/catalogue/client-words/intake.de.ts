/** How the intake opens each group in German; the questions themselves stand in the rows of the conditions. */
export const gatesDe: Readonly<Record<string, readonly [ask: string, suchAs: string]>> = {
  'Heart and vessels': [
    'Haben Sie etwas an Herz, Gefäßen oder Blutdruck, oder Schwellungen?',
    'Thrombosen, Krampfadern, hoher oder niedriger Blutdruck, unregelmäßiger Puls, Schlaganfall, Ohnmacht, geschwollene Arme oder Beine',
  ],
  'Cancer and its treatment': [
    'Hatten Sie je Krebs, oder wurden Ihnen Lymphknoten entfernt?',
    'jetzt oder früher; Operationen, Bestrahlung, Chemotherapie, Tabletten',
  ],
  'Infection and fever': [
    'Haben Sie jetzt einen Infekt, oder hatten Sie früher Hautinfektionen?',
    'rote heiße Haut, Knoten oder schmerzende Lymphknoten, Gürtelrose, Pilz, Warzen, schwache Abwehr',
  ],
  Skin: [
    'Haben Sie etwas an der Haut?',
    'Wunden, Ausschläge, Rosazea, Akne, Ekzem, Schuppenflechte, Muttermale, die sich verändern, blaue Flecken, sehr empfindliche oder dünne Haut',
  ],
  'Nerves and feeling': [
    'Haben Sie etwas mit Nerven, Gefühl oder Gleichgewicht, oder Kopfschmerzen?',
    'taube Stellen, Anfälle, Migräne, Schwindel, Beschwerden bei Wärme oder Kälte',
  ],
  'Bones and joints': [
    'Haben Sie etwas an Knochen, Gelenken, Rücken, Hals oder Kiefer?',
    'Brüche, brüchige Knochen, Halsverletzung, Bandscheibe, entzündete oder ersetzte Gelenke, Kieferschmerzen',
  ],
  'Hormones and metabolism': [
    'Haben Sie etwas an Nieren, Leber, Schilddrüse oder beim Blutzucker?',
    'Diabetes, Dialyse, Überfunktion der Schilddrüse, Wasser im Bauch',
  ],
  Pregnancy: [
    'Sind Sie schwanger, oder haben Sie in den letzten Monaten entbunden?',
    'auch Stillzeit, starke Regelblutung, eine schmerzende Spirale',
  ],
  Breathing: [
    'Haben Sie etwas an Lunge, Atmung oder Nebenhöhlen?',
    'Asthma, chronische Lungenkrankheit, Bronchitis, verstopfte oder entzündete Nebenhöhlen',
  ],
  'Digestion and belly': [
    'Haben Sie etwas mit der Verdauung oder am Bauch?',
    'Operationen, Darmentzündung, Leisten- oder Nabelbruch, Verstopfung',
  ],
  'Recent procedures': [
    'Hatten Sie eine Operation, Narbe, Spritze, Peeling, Laser oder Zahnbehandlung?',
    'Fäden, Drainagen, Narben, Fettabsaugung, Lifting, Filler, Nadelung, Wachsen',
  ],
  Medicines: [
    'Nehmen Sie Medikamente, Cremes oder Tabletten?',
    'Blutverdünner, Schmerz- oder Schlafmittel, Aknebehandlung, viele Medikamente',
  ],
  Allergies: ['Haben Sie Allergien?', 'Nüsse, Sesam, Latex, Duftstoffe, Aspirin'],
  'Devices and implants': [
    'Tragen Sie etwas im oder am Körper?',
    'Port, Herzschrittmacher, Pumpe, Sensor, Metall, künstlicher Ausgang, Linsen, Piercings',
  ],
  'Comfort and consent': [
    'Gibt es etwas, das Ihnen unangenehm wäre oder das Sie nicht möchten?',
    'Stellen, die nicht berührt werden sollen, enge Räume, Berührung, Druck, etwas zu sagen',
  ],
};
