/** What the calendar view says, in the order of its files. */
export const calendarWords = {
  // Calendar
  aNewAddressTheOldOne: 'A new address. The old one no longer works.',
  markTheAddressAndCopyIt: 'Mark the address and copy it by hand.',
  myCalendar: 'My calendar',
  aCalendarProgramThatFollowsThis:
    'A calendar program that follows this address shows your visits and keeps up with what is moved or cancelled. Clients are in it by their initials only.',
  addressToFollow: 'Address to follow',
  copy: 'Copy',
  whoeverHasTheAddressCanRead:
    'Whoever has the address can read it: treat it like a key. Lost it? Make a new one, and the old one is void.',
  makeANewAddress: 'Make a new address',
  downloadTheVisits: 'Download the visits',
  done: 'Done',
  copied: 'Copied.',
};
