import * as schemas from '../api/schemas';
import { schemasFrom } from '../api/later';

schemasFrom(() => Promise.resolve(schemas));
