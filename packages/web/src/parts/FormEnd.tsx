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
  <>
    {problem && (
      <p role="alert" className="text-brick">
        {problem}
      </p>
    )}
    <div className="flex justify-end gap-2">
      <button type="button" className="btn" onClick={onClose}>
        Cancel
      </button>
      <button type="submit" className="btn btn-main" disabled={problem !== undefined && !tellsWhenPressed}>
        {action}
      </button>
    </div>
  </>
);
