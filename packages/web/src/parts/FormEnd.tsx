/** The end of a dialog's form: what is wrong with it, a way out, and the button that does it. */
interface FormEndProps {
  readonly problem: string | undefined;
  /** What the button says. */
  readonly action: string;
  /** Whether it can be pressed although something is wrong, which is told then. */
  readonly tellsWhenPressed?: boolean;
  readonly onClose: () => void;
}

export const FormEnd = ({ problem, action, tellsWhenPressed = false, onClose }: FormEndProps) => (
  // It stays in sight, and in its place, however long the form is.
  <div className="sticky -bottom-4 z-10 -mx-4 -mb-4 flex items-center gap-2 border-t border-rule bg-sheet px-4 py-3">
    <p role="alert" className="mr-auto text-brick">
      {problem}
    </p>
    <button type="button" className="btn" onClick={onClose}>
      Cancel
    </button>
    <button type="submit" className="btn btn-main" disabled={problem !== undefined && !tellsWhenPressed}>
      {action}
    </button>
  </div>
);
