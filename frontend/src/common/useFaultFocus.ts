import { useEffect, useRef, type RefObject } from "react";

import { ApiError } from "../api";

/**
 * Puts the cursor on what a form was refused for: the field, by its `name`, that a fault points
 * to; its first one where none does.
 */
export function useFaultFocus(problem: Error | null): RefObject<HTMLFormElement | null> {
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (problem && form.current) fieldOf(form.current, problem)?.focus();
  }, [problem]);
  return form;
}

function fieldOf(form: HTMLFormElement, problem: Error): HTMLElement | undefined {
  const fields = [...form.querySelectorAll<HTMLInputElement>("input[name]")];
  const pointers = problem instanceof ApiError ? problem.faults.map(({ pointer }) => pointer) : [];
  const faulty = pointers.flatMap((pointer) =>
    fields.filter(({ name }) => pointer.endsWith(`/${name}`)),
  );
  return faulty[0] ?? fields[0];
}
