/** Saves what the working bay shows as a picture. */
import { messageOf } from '@hovrin/core';
import { Camera } from 'lucide-react';
import { api } from '../../api.ts';
import { download } from '../../download.ts';
import { currentScreen, useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Menu } from '../../parts/Menu.tsx';
import type { ScreenSize } from '../../sizes.ts';
import { pngOf, svgOf } from './savePicture.ts';

export function PictureMenu({ size }: { size: ScreenSize }) {
  const { editor } = useWorkplace();
  const screen = currentScreen(useEditorState('project', 'screenId'));
  const save = async (kind: 'svg' | 'png', whole: boolean, ratio = size.ratio ?? 2) => {
    const layout = editor.bench?.drawn();
    if (!layout) return;
    const height = Math.round(whole ? Math.max(layout.fullHeight, size.height) : size.height);
    const name = `${screen?.name ?? 'screen'}-${Math.round(size.width)}x${height}.${kind}`;
    try {
      const svg = await svgOf(layout, height, (picture) => api.assetAddress(editor.projectId, picture));
      download(
        name,
        kind === 'svg'
          ? new Blob([svg], { type: 'image/svg+xml' })
          : await pngOf(svg, size.width, height, ratio),
      );
    } catch (error) {
      editor.tell(`The picture could not be made: ${messageOf(error)}`);
    }
  };
  return (
    <Menu
      label="Save as a picture"
      button={
        <button type="button" className="btn-bare" aria-label="Save as a picture" title="Save as a picture">
          <Camera size={15} />
        </button>
      }
      entries={[
        { label: 'PNG of the window', onSelect: () => void save('png', false) },
        { label: 'PNG of the whole screen', onSelect: () => void save('png', true) },
        { label: 'SVG of the window', onSelect: () => void save('svg', false) },
        { label: 'SVG of the whole screen', onSelect: () => void save('svg', true) },
      ]}
    />
  );
}
