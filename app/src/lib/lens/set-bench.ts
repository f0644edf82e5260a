import type { Bench } from '@gentle-arc/core/model/bench';

/** Changes what is worked out for a shot; changes that follow each other under one `join` name are one step of undo. */
export type SetBench = (edit: Partial<Bench>, join?: string | null) => void;
