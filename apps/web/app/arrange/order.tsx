import { OrderScreen } from '../../src/arrange/order/OrderScreen';

export default function Order() {
  return <OrderScreen />;
}
