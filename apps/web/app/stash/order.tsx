import { OrderScreen } from '../../src/order/OrderScreen';

export default function Order() {
  return <OrderScreen />;
}
