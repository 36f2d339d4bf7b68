import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Navigate, NavLink, Route, Routes } from 'react-router';
import { answer, api, postForm } from './api/client';
import { FinishesScreen } from './features/finishes/FinishesScreen';
import { useStamp } from './features/finishes/useStamp';
import { JumpBox } from './features/jump/JumpBox';
import { CompareScreen } from './features/library/CompareScreen';
import { LibraryScreen } from './features/library/LibraryScreen';
import { PieceScreen } from './features/library/PieceScreen';
import { ReviewScreen } from './features/rollouts/ReviewScreen';
import { RolloutsScreen } from './features/rollouts/RolloutsScreen';
import { useLibraryAhead } from './features/library/useLibrary';
import { useRollouts } from './features/rollouts/useRollouts';
import { PeopleScreen } from './features/people/PeopleScreen';
import { PicturesScreen } from './features/pictures/PicturesScreen';
import { SignIn } from './features/session/SignIn';
import { NewClientScreen } from './features/sites/NewClientScreen';
import { PageScreen } from './features/sites/PageScreen';
import { SiteScreen } from './features/sites/SiteScreen';
import { SitesScreen } from './features/sites/SitesScreen';
import { BarPlace, BarProvider } from './ui/Bar';
import { Button } from './ui/Button';
import { Failed, Loading } from './ui/States';

export function App() {
  const session = useQuery({
    queryKey: ['session'],
    queryFn: () => answer(api.GET('/api/session')),
  });
  if (session.error) return <Failed error={session.error} retry={() => void session.refetch()} />;
  if (!session.data) return <Loading what="Good Bones" />;
  if (session.data.user === '') return <SignIn session={session.data} />;
  return (
    <BarProvider>
      <div className="grid grid-rows-[auto_minmax(0,1fr)] grid-cols-[minmax(0,1fr)] h-full min-w-[1180px]">
        <TopBar user={session.data.user} />
        <div className="min-h-0">
          <Routes>
            <Route path="/" element={<Navigate to="/library" replace />} />
            <Route path="/sign-in" element={<Navigate to="/library" replace />} />
            <Route path="/library" element={<LibraryScreen />} />
            <Route path="/library/:pieceId" element={<PieceScreen />} />
            <Route path="/library/:pieceId/compare" element={<CompareScreen />} />
            <Route path="/sites" element={<SitesScreen />} />
            <Route path="/sites/new" element={<NewClientScreen />} />
            <Route path="/sites/:siteId" element={<SiteScreen />} />
            <Route path="/sites/:siteId/pages/:pageId" element={<PageScreen />} />
            <Route path="/finishes" element={<FinishesScreen />} />
            <Route path="/rollouts" element={<RolloutsScreen />} />
            <Route path="/rollouts/:pieceId" element={<ReviewScreen />} />
            <Route path="/pictures" element={<PicturesScreen />} />
            <Route path="/people" element={<PeopleScreen />} />
            <Route
              path="*"
              element={<Failed error={new Error('Nothing is kept at this address.')} />}
            />
          </Routes>
        </div>
      </div>
    </BarProvider>
  );
}

function TopBar({ user }: { user: string }) {
  const queries = useQueryClient();
  const rollouts = useRollouts();
  useStamp();
  useLibraryAhead();
  const waiting = rollouts.data?.waiting.length ?? 0;
  const signOut = async () => {
    await postForm('/api/sign-out', {});
    queries.clear();
    window.location.assign('/');
  };
  const areas = [
    { to: '/library', title: 'Library' },
    { to: '/sites', title: 'Sites' },
    { to: '/finishes', title: 'Finishes' },
    { to: '/rollouts', title: 'Rollouts' },
    { to: '/pictures', title: 'Pictures' },
  ];
  return (
    <header className="border-b border-ink flex items-center gap-7 px-4 h-[46px] whitespace-nowrap">
      <NavLink to="/library" className="font-title font-bold text-[20px]" aria-label="Good Bones">
        Good <span className="text-verdigris">Bones</span>
      </NavLink>
      <nav aria-label="Areas" className="flex gap-6 h-full">
        {areas.map((area) => (
          <NavLink
            key={area.to}
            to={area.to}
            className="h-full flex items-center gap-1.5 border-b-[3px] border-transparent hover:border-line aria-[current=page]:border-verdigris aria-[current=page]:font-semibold"
          >
            {area.title}
            {area.to === '/rollouts' && waiting > 0 && (
              <span className="bg-ochre text-white text-[12px] leading-5 px-1.5" title="waiting">
                {waiting}
              </span>
            )}
          </NavLink>
        ))}
      </nav>
      <BarPlace />
      <JumpBox />
      <span className="flex items-center gap-3 text-[13px] text-soft">
        <NavLink
          to="/people"
          title="People, and your password"
          className="hover:underline underline-offset-4 aria-[current=page]:font-semibold aria-[current=page]:text-ink"
        >
          {user}
        </NavLink>
        <Button look="quiet" onClick={() => void signOut()}>
          Sign out
        </Button>
      </span>
    </header>
  );
}
