import { NavLink } from 'react-router';
import { useBuild } from '../build/BuildContext.ts';
import { openFindings, pageList, stageList, stateInWords } from './stages.ts';

const linkClass = ({ isActive }: { isActive: boolean }): string =>
  `block border-l-[3px] px-3 py-1.5 max-[900px]:shrink-0 max-[900px]:border-b-[3px] max-[900px]:border-l-0 max-[900px]:py-3 ${isActive ? 'border-moss bg-panel font-medium' : 'border-transparent hover:bg-panel'}`;

/** The stages in the order people work, each with its state in words; then the build's pages. */
export function OrderOfWork() {
  const { id, evaluation } = useBuild();
  const open = openFindings(evaluation.findings);
  return (
    <nav
      aria-label="Order of work"
      className="w-[160px] shrink-0 overflow-y-auto border-r-[0.75px] border-hair py-2 max-[900px]:flex max-[900px]:w-full max-[900px]:overflow-x-auto max-[900px]:border-r-0 max-[900px]:border-b-[0.75px] max-[900px]:py-0"
    >
      {stageList.map((stage, index) => {
        const findings =
          stage.id === 'margins'
            ? evaluation.findings
            : evaluation.findings.filter((f) => f.where.stage === stage.id);
        const words = stage.id === 'take-away' ? 'sheet, lists, file' : stateInWords(findings);
        const bad =
          openFindings(findings).some((f) => f.severity !== 'note') && stage.id !== 'take-away';
        return (
          <NavLink key={stage.id} to={`/builds/${id}/${stage.id}`} className={linkClass}>
            <span className="mr-1.5 inline-block w-3 text-second">{index + 1}</span>
            {stage.name}
            <span
              className={`block pl-[18px] text-[12px] font-normal leading-4 ${bad ? 'text-signal' : 'text-second'}`}
            >
              {words}
            </span>
          </NavLink>
        );
      })}
      <hr className="mx-3 my-2 border-t-[0.75px] border-hair max-[900px]:hidden" />
      {pageList.map((page) => (
        <NavLink key={page.id} to={`/builds/${id}/${page.id}`} className={linkClass}>
          <span className="mr-1.5 inline-block w-3" />
          {page.name}
          {page.id === 'findings' && <span className="ml-1 text-second">{open.length}</span>}
        </NavLink>
      ))}
    </nav>
  );
}
