/** What the clients view says, in the order of its files. */
export const clientsWords = {
  importFigures: 'Import figures',
  inAndOut: 'In and out',
  // FindClients
  clients: 'Clients',
  addAClient: 'Add a client',
  findByNamePhoneOrE: 'Find by name, phone or e-mail',
  aFewLettersWillDoAccents: 'A few letters will do; accents and small typing errors do not matter.',
  noClientMatches: (query: string) => `No client matches “${query}”.`,
  name: 'Name',
  age: 'Age',
  phone: 'Phone',
  eMail: 'E-mail',
  lastVisit: 'Last visit',
  archived: 'archived',
  noneYet: 'none yet',
  bornOn: 'Born on',
  // PerhapsKnown
  perhapsOnRecordAlready: 'Perhaps on record already:',
  whoAndWhy: (name: string, born: string, why: string) => (born ? `${name}, born ${born}: ${why}` : `${name}: ${why}`),
  take: (name: string) => `It is ${name}`,
  goodToKnow: 'Good to know',
  cancel: 'Cancel',
  add: 'Add',
};
