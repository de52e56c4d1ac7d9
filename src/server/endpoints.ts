import { bookingEndpoints } from './booking/booking.endpoints';
import { clientExchangeEndpoints } from './clients/client-exchange.endpoints';
import { clientEndpoints } from './clients/clients.endpoints';
import { computeEndpoints } from './compute/compute.endpoints';
import { homeEndpoints } from './home/home.endpoints';
import { houseEndpoints } from './house/house.endpoints';
import type { Endpoint } from './http/endpoint';
import { keepingEndpoints } from './keeping/keeping.endpoints';
import { libraryEndpoints } from './library/library.endpoints';
import { measureEndpoints } from './measures/measures.endpoints';
import { messageEndpoints } from './messages/messages.endpoints';
import { oilEndpoints } from './oils/oils.endpoints';
import { peopleEndpoints } from './people/people.endpoints';
import { pictureEndpoints } from './pictures/pictures.endpoints';
import { practiceEndpoints } from './practice/practice.endpoints';
import type { Route } from '../contracts/routes/route';
import { screeningEndpoints } from './screening/screening.endpoints';
import { tabletEndpoints } from './screening/tablet.endpoints';
import { stoneEndpoints } from './stones/stones.endpoints';
import { tableEndpoints } from './table/table.endpoints';
import { treatmentEndpoints } from './treatments/treatments.endpoints';
import { visitEndpoints } from './visits/visits.endpoints';

/** The handler of every route. */
export const endpointOf: ReadonlyMap<Route, Endpoint> = new Map(
  [
    ...computeEndpoints,
    ...peopleEndpoints,
    ...houseEndpoints,
    ...keepingEndpoints,
    ...bookingEndpoints,
    ...messageEndpoints,
    ...clientEndpoints,
    ...clientExchangeEndpoints,
    ...screeningEndpoints,
    ...tabletEndpoints,
    ...visitEndpoints,
    ...tableEndpoints,
    ...treatmentEndpoints,
    ...measureEndpoints,
    ...libraryEndpoints,
    ...stoneEndpoints,
    ...oilEndpoints,
    ...homeEndpoints,
    ...pictureEndpoints,
    ...practiceEndpoints,
  ].map((endpoint) => [endpoint.route, endpoint]),
);
