import { bookingRoutes } from './booking';
import { clientExchangeRoutes } from './client-exchange';
import { clientRoutes } from './clients';
import { computeRoutes } from './compute';
import { homeRoutes } from './home';
import { houseRoutes } from './house';
import { keepingRoutes } from './keeping';
import { libraryRoutes } from './library';
import { measureRoutes } from './measures';
import { messageRoutes } from './messages';
import { oilRoutes } from './oils';
import { peopleRoutes } from './people';
import { pictureRoutes } from './pictures';
import { practiceRoutes } from './practice';
import type { Route } from './route';
import { screeningRoutes } from './screening';
import { stoneRoutes } from './stones';
import { tableRoutes } from './table';
import { tabletRoutes } from './tablet';
import { treatmentRoutes } from './treatments';
import { visitRoutes } from './visits';

/** Everything that the server answers to, by domain. */
export const routes = {
  compute: computeRoutes,
  people: peopleRoutes,
  house: houseRoutes,
  keeping: keepingRoutes,
  booking: bookingRoutes,
  messages: messageRoutes,
  clients: clientRoutes,
  clientExchange: clientExchangeRoutes,
  screening: screeningRoutes,
  tablet: tabletRoutes,
  visits: visitRoutes,
  table: tableRoutes,
  treatments: treatmentRoutes,
  measures: measureRoutes,
  library: libraryRoutes,
  stones: stoneRoutes,
  oils: oilRoutes,
  home: homeRoutes,
  pictures: pictureRoutes,
  practice: practiceRoutes,
} as const;

export const allRoutes: readonly Route[] = Object.values(routes).flatMap((domain) => Object.values<Route>(domain));
