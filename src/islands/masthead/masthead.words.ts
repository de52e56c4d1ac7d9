/** What the masthead view says, in the order of its files. */
export const mastheadWords = {
  // Masthead
  toTheContent: 'To the content',
  velvetStone: 'Velvet Stone',
  places: 'Places',
  day: 'Day',
  clients: 'Clients',
  bench: 'Bench',
  library: 'Library',
  house: 'House',
  findAClient: 'Find a client',
  isSignedInOpenTheMenu: (initials: string, name: string) => `${initials}: ${name} is signed in. Open the menu`,
  signedIn: ' · signed in',
  lockTheScreen: 'Lock the screen',
  changeMyPin: 'Change my PIN',
  setMyPin: 'Set my PIN',
  signOut: 'Sign out',
  daylight: 'Daylight',
  lampLight: 'Lamp light',
  secondFactor: 'Second factor',
  devices: 'My devices',
  findAClientKey: 'find a client',
};
