import { later } from '../../src/frame/later';

export default later('LeavingScreen');
