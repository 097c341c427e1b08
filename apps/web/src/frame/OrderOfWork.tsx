import { ChevronDown, Gauge } from 'lucide-react';
import { Accordion, Dialog } from 'radix-ui';
import { useState } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useBuild } from '../build/BuildContext.ts';
import { useFoundAtVehicle } from '../record/useFoundAtVehicle.ts';
import {
  type Phase,
  type Stage,
  type StageState,
  findingsPage,
  openFindings,
  phaseList,
  phaseOf,
  screenList,
  stateOfPhase,
  stateOfStage,
} from './stages.ts';

const linkClass = ({ isActive }: { isActive: boolean }): string =>
  `block border-l-[3px] py-1 pl-3 pr-2 max-[900px]:min-h-12 max-[900px]:py-2.5 ${isActive ? 'border-moss bg-panel font-medium' : 'border-transparent hover:bg-panel'}`;

const State = ({ words, bad }: StageState) => (
  <span
    className={`block text-[12px] font-normal leading-4 ${bad ? 'text-signal' : 'text-second'}`}
  >
    {words}
  </span>
);

type LinkProps = { stage: Stage; state?: StageState; onGo?: (() => void) | undefined };

function StageLink({ stage, state, onGo }: LinkProps) {
  const { id } = useBuild();
  return (
    <NavLink to={`/builds/${id}/${stage.id}`} className={linkClass} onClick={onGo}>
      {stage.name}
      {state && <State {...state} />}
    </NavLink>
  );
}

/** How much was found at the vehicle that is not as planned. */
interface Told {
  readonly found: number;
}

/** The screens of a phase: stages with their state, then what is looked up there. */
function PhaseScreens({ phase, found, onGo }: Told & { phase: Phase; onGo?: () => void }) {
  const { evaluation } = useBuild();
  return (
    <>
      {phase.stages.map((stage) => (
        <StageLink
          key={stage.id}
          stage={stage}
          state={stateOfStage(stage, evaluation.findings, found)}
          onGo={onGo}
        />
      ))}
      {phase.pages.map((page) => (
        <StageLink key={page.id} stage={page} onGo={onGo} />
      ))}
    </>
  );
}

function FindingsLink({ found, onGo }: Told & { onGo?: () => void }) {
  const { id, evaluation } = useBuild();
  return (
    <NavLink to={`/builds/${id}/${findingsPage.id}`} className={linkClass} onClick={onGo}>
      {findingsPage.name}{' '}
      <span className="text-second">{openFindings(evaluation.findings).length + found}</span>
    </NavLink>
  );
}

/** Which screen of the build is open. */
function useOpenScreen(): string {
  const { id } = useBuild();
  const { pathname } = useLocation();
  return pathname.split(`/builds/${encodeURIComponent(id)}/`)[1]?.split('/')[0] ?? '';
}

/** At the desk: the phase at hand is open, others open by a press and show the worst of theirs. */
function DeskOrder({ found }: Told) {
  const { evaluation } = useBuild();
  const present = phaseOf(useOpenScreen())?.id;
  const [opened, setOpened] = useState<{ readonly at: string | undefined; ids: string[] }>();
  // What was opened by hand closes again on going to another phase.
  const open = opened && opened.at === present ? opened.ids : present ? [present] : [];
  return (
    <nav
      aria-label="Order of work"
      className="w-[160px] shrink-0 overflow-y-auto border-r-[0.75px] border-hair py-2 max-[900px]:hidden"
    >
      <Accordion.Root
        type="multiple"
        value={open}
        onValueChange={(ids) => setOpened({ at: present, ids })}
      >
        {phaseList.map((phase) => {
          const state = stateOfPhase(phase, evaluation.findings, found);
          const closed = !open.includes(phase.id);
          return (
            <Accordion.Item key={phase.id} value={phase.id} className="mb-1">
              <Accordion.Header>
                <Accordion.Trigger className="group flex w-full items-baseline gap-1.5 px-3 py-1 text-left text-[13px] font-medium text-second hover:bg-panel hover:text-ink">
                  <ChevronDown
                    size={12}
                    aria-hidden="true"
                    className="shrink-0 self-center group-data-[state=closed]:-rotate-90"
                  />
                  <span>
                    {phase.name}
                    {closed && state && <State {...state} />}
                  </span>
                </Accordion.Trigger>
              </Accordion.Header>
              <Accordion.Content className="pl-3">
                <PhaseScreens phase={phase} found={found} />
              </Accordion.Content>
            </Accordion.Item>
          );
        })}
      </Accordion.Root>
      <hr className="mx-3 my-2 border-t-[0.75px] border-hair" />
      <FindingsLink found={found} />
    </nav>
  );
}

/** On a phone: the present stage in sight, all others one press away, readings at once. */
function PhoneOrder({ found }: Told) {
  const { id, evaluation } = useBuild();
  const [open, setOpen] = useState(false);
  const screenId = useOpenScreen();
  const phase = phaseOf(screenId);
  const present = screenList.find((s) => s.id === screenId);
  const stage = phase?.stages.find((s) => s.id === screenId);
  const state = stage && stateOfStage(stage, evaluation.findings, found);
  const close = (): void => setOpen(false);
  return (
    <div className="hidden shrink-0 border-b-[0.75px] border-hair max-[900px]:flex">
      <Dialog.Root open={open} onOpenChange={setOpen}>
        <Dialog.Trigger className="flex min-h-12 min-w-0 flex-1 items-center gap-2 px-3 text-left">
          <ChevronDown size={18} aria-hidden="true" className="shrink-0" />
          <span className="min-w-0 truncate">
            {phase && <span className="text-second">{phase.name} · </span>}
            <span className="font-medium">{present?.name}</span>
            {state && (
              <span className={state.bad ? 'text-signal' : 'text-second'}> {state.words}</span>
            )}
          </span>
        </Dialog.Trigger>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed inset-x-0 top-0 z-50 max-h-[92vh] overflow-y-auto border-b-[1.5px] border-ink bg-paper pb-3"
          >
            <div className="flex items-center justify-between border-b-[0.75px] border-hair pl-3">
              <Dialog.Title className="font-medium">Order of work</Dialog.Title>
              <Dialog.Close className="min-h-12 px-4">Close</Dialog.Close>
            </div>
            <nav aria-label="All stages">
              <FindingsLink found={found} onGo={close} />
              {phaseList.map((each) => (
                <section key={each.id} aria-label={each.name}>
                  <h3 className="px-3 pt-2">{each.name}</h3>
                  <div className="grid grid-cols-2">
                    <PhaseScreens phase={each} found={found} onGo={close} />
                  </div>
                </section>
              ))}
            </nav>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
      <NavLink
        to={`/builds/${id}/readings`}
        className="flex min-h-12 items-center gap-1.5 border-l-[0.75px] border-hair px-4"
      >
        <Gauge size={18} aria-hidden="true" /> Readings
      </NavLink>
    </div>
  );
}

/** The phases of the work with their stages, in the order people work. */
export function OrderOfWork() {
  const found = useFoundAtVehicle().length;
  return (
    <>
      <DeskOrder found={found} />
      <PhoneOrder found={found} />
    </>
  );
}
