/** Back on the bench, with a control of the running page selected. */
import { namesOn } from '@hovrin/core';
import { useWorkplace } from '../editor/context.tsx';

/** @param leave leads to the bench. */
export function usePick(leave: () => void): (screen: string, control: string) => void {
  const { editor } = useWorkplace();
  return (screen, control) => {
    const { project } = editor.state;
    const found = project.screens.find(({ name }) => name === screen);
    const names = found ? [...namesOn(project, found)] : [];
    const plain = (name: string) => name.replaceAll(/\[\d*\]/g, '');
    const id = names.find(([, name]) => plain(name) === plain(control))?.[0];
    if (id === undefined) return;
    editor.select([id]);
    leave();
  };
}
