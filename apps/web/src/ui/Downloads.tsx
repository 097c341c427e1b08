import { Download } from 'lucide-react';

type Props = {
  /** what is taken away */
  of: string;
  /** address without its ending */
  file: string;
  kinds: readonly string[];
};

/** A thing as files of several kinds. */
export const Downloads = ({ of, file, kinds }: Props) => (
  <p className="flex items-center gap-2">
    {of !== '' && <span className="text-[13px] text-second">{of}</span>}
    {kinds.map((kind) => (
      <a key={kind} className="act" href={`${file}.${kind}`} download>
        <Download size={14} aria-hidden className="mr-1 inline" />
        {kind.toUpperCase()}
      </a>
    ))}
  </p>
);
