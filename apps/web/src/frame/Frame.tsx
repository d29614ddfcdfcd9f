import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useMemo, type ReactNode } from 'react';
import { PaperProvider } from 'react-native-paper';
import { forgetStash } from '../api/disk';
import { onDoorShut, useDoorShut } from '../api/door';
import { schemasFrom } from '../api/later';
import { beginWithKept } from '../api/list';
import { outboxOf } from '../api/outgoing';
import { fetchFirst } from '../api/queries';
import { paperTheme } from '../theme/paper';
import { beginScheme, useScheme } from '../theme/scheme';
import { colour } from '../theme/tokens';
import { Icon, isIconName } from '../ui/Icon';
import { later, rest } from './later';
import { openOffline } from './openOffline';
import { SayProvider } from '../ui/Say';
import { Shell } from './Shell';

beginScheme();

const DoorScreen = later('DoorScreen');
schemasFrom(rest);

const paperSettings = {
  icon: ({ name, size, color }: { name: unknown; size: number; color?: string | undefined }) =>
    isIconName(name) ? <Icon name={name} size={size} tint={color ?? colour.text} /> : null,
};

/** The stash is asked for at once, while the screen that shows it is still on its way. */
function startClient(): QueryClient {
  const client = new QueryClient({
    defaultOptions: { queries: { staleTime: 30_000, retry: 1 }, mutations: { retry: false } },
  });
  const outbox = outboxOf(client);
  beginWithKept(client, { reading: () => outbox.reading(), reached: () => outbox.reached() });
  void outbox.takeUp();
  // What was done here and is not sent yet stays; the stash itself does not.
  onDoorShut(() => void forgetStash());
  fetchFirst(client);
  openOffline();
  return client;
}

let started: QueryClient | undefined;
/**
 * The one client of the page. Not a state of the frame: React may begin to draw it, wait for a part that is still on its
 * way, and begin anew, and two clients would each take up what waits.
 */
const theClient = (): QueryClient => (started ??= startClient());

interface Around {
  readonly children: ReactNode;
}

// Several and not one: React answers the person between one and the next.
function Served({ children }: Around) {
  return <QueryClientProvider client={theClient()}>{children}</QueryClientProvider>;
}

function Dressed({ children }: Around) {
  const scheme = useScheme();
  const theme = useMemo(() => paperTheme(scheme), [scheme]);
  return (
    <PaperProvider theme={theme} settings={paperSettings}>
      {children}
    </PaperProvider>
  );
}

const Said = ({ children }: Around) => <SayProvider>{children}</SayProvider>;
const Placed = ({ children }: Around) => <Shell>{children}</Shell>;
const BehindTheDoor = ({ children }: Around) => (useDoorShut() ? <DoorScreen /> : children);

/** Everything around the screens: theme, server state, messages, places. */
export const Frame = ({ children }: Around) => (
  <Served>
    <Dressed>
      <BehindTheDoor>
        <Said>
          <Placed>{children}</Placed>
        </Said>
      </BehindTheDoor>
    </Dressed>
  </Served>
);
