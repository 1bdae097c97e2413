/** Small documents, one a rule: each look by itself. */
const box = (attributes: string): string => `<spacer width="120" height="80" ${attributes} />`;

/** Controls in a state that nothing is said of: they answer by themselves. The selector is of what the state is forced on. */
export const answers: readonly (readonly [
  source: string,
  state: 'hover' | 'pressed' | 'focus',
  selector: string,
])[] = [
  ...(
    [
      ['primary', 'hover'],
      ['primary', 'focus'],
      ['plain', 'hover'],
      ['danger', 'pressed'],
    ] as const
  ).map(
    ([tone, state]) => [`<button name="it" text="Keep" tone="${tone}" />`, state, '[data-name=it]'] as const,
  ),
  ...[
    '<textField name="it" label="Party" value="Ten" />',
    '<checkbox name="it" label="Half board" checked="true" />',
    '<checkbox name="it" label="Half board" />',
    '<switch name="it" label="Quiet" checked="true" />',
    '<switch name="it" label="Quiet" />',
  ].flatMap((source) => [
    [source, 'hover', '[data-name=it]'] as const,
    [source, 'focus', '[data-name=it] input'] as const,
  ]),
  ['<link name="it" text="Weather" to="https://example.org" />', 'hover', '[data-name=it]'],
  ['<slider name="it" label="Stove" value="40" />', 'hover', '[data-name=it]'],
  ['<iconButton name="it" icon="pencil" text="Edit" />', 'pressed', '[data-name=it]'],
  ['<menuButton name="it" text="More" options="Print" />', 'hover', '[data-name=it]'],
];

export const looks: readonly (readonly [name: string, source: string])[] = [
  ['a plain colour', box('background="#2f5d50"')],
  ['a colour in oklch', box('background="oklch(0.6 0.12 200)"')],
  ['a colour in hsl, half seen through', box('background="hsl(200 80% 40% / 0.5)"')],
  ['a gradient downwards', box('background="linear-gradient(#ff0000, #0000ff)"')],
  ['a gradient at an angle', box('background="linear-gradient(30deg, #ff0000, #00ff00 30%, #0000ff)"')],
  ['a gradient to a corner', box('background="linear-gradient(to top right, #ffffff, #123456)"')],
  ['a gradient with px', box('background="linear-gradient(90deg, #ffffff 10, #123456 60)"')],
  ['hard stops', box('background="linear-gradient(90deg, #ff0000 0 30%, #00ff00 30% 60%, #0000ff 60%)"')],
  ['stops without places', box('background="linear-gradient(#ff0000, #00ff00, #0000ff, #ffff00)"')],
  ['a hint', box('background="linear-gradient(90deg, #ff0000, 20%, #0000ff)"')],
  ['a gradient to nothing', box('background="linear-gradient(#ff0000, #ff000000)"')],
  [
    'a gradient between modern colours',
    box('background="linear-gradient(90deg, oklch(0.7 0.15 20), oklch(0.7 0.15 200))"'),
  ],
  ['repeated stripes', box('background="repeating-linear-gradient(45deg, #ffffff 0 8, #2f5d50 8 16)"')],
  ['a repeated gradient', box('background="repeating-linear-gradient(90deg, #ff0000, #0000ff 30)"')],
  ['an ellipse', box('background="radial-gradient(#ffffff, #123456)"')],
  ['a circle', box('background="radial-gradient(circle, #ffffff, #123456)"')],
  [
    'a circle by its nearest side',
    box('background="radial-gradient(circle closest-side at 30% 40%, #ffffff, #123456)"'),
  ],
  [
    'an ellipse by its farthest side',
    box('background="radial-gradient(farthest-side at 20% 20%, #ffffff, #123456)"'),
  ],
  [
    'a circle by its nearest corner',
    box('background="radial-gradient(circle closest-corner at 30% 40%, #ffffff, #123456)"'),
  ],
  ['a circle of some px', box('background="radial-gradient(circle 30 at top left, #ff0000 50%, #0000ff)"')],
  ['an ellipse of two sizes', box('background="radial-gradient(40 20 at center, #ff0000, #0000ff)"')],
  ['rings', box('background="repeating-radial-gradient(circle at center, #ffffff 0 6, #2f5d50 6 12)"')],
  ['a turn of colours', box('background="conic-gradient(#ff0000, #00ff00, #0000ff, #ff0000)"')],
  [
    'a pie',
    box('background="conic-gradient(from 90deg at 30% 50%, #ff0000 0 25%, #00ff00 25% 60%, #0000ff 60%)"'),
  ],
  ['rays', box('background="repeating-conic-gradient(#ffffff 0 15deg, #2f5d50 15deg 30deg)"')],
  [
    'layers',
    box('background="linear-gradient(90deg, #ff000080, #ff000000), linear-gradient(#0000ff, #00ff00)"'),
  ],
  ['a colour over a colour', box('background="#ff000080, #0000ff"')],
  ['a round corner', box('background="#2f5d50" corner="20"')],
  ['corners of their own', box('background="#2f5d50" corner="4 30 0 50"')],
  ['corners in per cent', box('background="#2f5d50" corner="50%"')],
  ['corners that would overlap', box('background="#2f5d50" corner="100 20"')],
  ['a gradient with corners', box('background="conic-gradient(#ff0000, #0000ff)" corner="24"')],
  ['a border', box('background="#ffffff" border-width="4" border-color="#2f5d50"')],
  ['a border with corners', box('background="#e4ece6" border-width="4" border-color="#2f5d50" corner="16"')],
  [
    'sides of their own widths',
    box('background="#e4ece6" border-width="1 6 3 10" border-color="#2f5d50" corner="12"'),
  ],
  ['sides of their own colours', box('border-width="8" border-color="#ff0000 #00ff00 #0000ff #ffff00"')],
  ['two lines', box('border-width="9" border-style="double" border-color="#2f5d50"')],
  ['no line on some sides', box('border-width="6" border-style="solid none" border-color="#2f5d50"')],
  ['a shadow', box('background="#ffffff" shadow="0 4 12 0 #00000066"')],
  ['a sharp shadow', box('background="#ffffff" shadow="6 6 0 0 #b86b35"')],
  ['a shadow that spreads', box('background="#ffffff" corner="8" shadow="0 0 6 6 #2f5d50"')],
  ['a shadow that draws in', box('background="#ffffff" shadow="0 14 8 -8 #000000"')],
  ['several shadows', box('background="#ffffff" shadow="0 2 4 0 #00000066, 0 10 20 0 #2f5d5066"')],
  ['a shadow of something seen through', box('shadow="0 4 12 0 #000000"')],
  ['a shadow inside', box('background="#e4ece6" shadow="inset 0 0 12 0 #000000"')],
  ['a shadow inside that spreads', box('background="#e4ece6" corner="16" shadow="inset 4 4 6 4 #2f5d50"')],
  [
    'both sorts of shadows',
    box(
      'background="#e4ece6" corner="12" border-width="2" shadow="inset 0 2 4 0 #00000080, 0 4 8 0 #00000080"',
    ),
  ],
  [
    'half seen through',
    `<column width="120" height="80" background="#2f5d50" opacity="0.5">${'<spacer width="60" height="40" background="#ff0000" />'}</column>`,
  ],
  ['blurred', box('background="#2f5d50" blur="4"')],
  [
    'blurred with what is in it',
    '<column width="120" height="80" background="#2f5d50" padding="20" blur="3"><spacer width="40" height="30" background="#ffffff" /></column>',
  ],
  [
    'what is behind it blurred',
    '<layers width="160" height="100"><spacer width="160" height="100" background="repeating-linear-gradient(90deg, #ffffff 0 10, #2f5d50 10 20)" /><spacer width="100" height="60" align-self="center" justify-self="center" background="#ffffff40" blur-behind="6" corner="10" /></layers>',
  ],
  ['turned', box('background="#2f5d50" rotate="20"')],
  ['larger', box('background="#2f5d50" scale="1.2"')],
  ['shifted', box('background="#2f5d50" shift="10 25%"')],
  [
    'turned, larger and shifted, with what is in it',
    '<column width="100" height="60" background="#e4ece6" corner="8" rotate="-15" scale="0.9" shift="8 6"><spacer width="40" height="30" background="#b86b35" /></column>',
  ],
  [
    'cut off',
    '<column width="100" height="60" background="#e4ece6" corner="20" border-width="2" clip="true"><spacer width="160" height="100" margin="10 0 0 -20" background="#b86b35" /></column>',
  ],
  [
    'the order of layers',
    '<row gap="-0" width="180"><spacer width="80" height="60" background="#2f5d50" z="1" /><spacer width="80" height="60" margin="20 0 0 -40" background="#b86b35" /></row>',
  ],
  ['underlined and struck', '<text text="Velmora Hut" size="24" underline="true" strike="true" />'],
  ['capital letters', '<text text="Velmora Hut" size="20" uppercase="true" />'],
  [
    'words in a gradient',
    '<text text="Velmora" size="40" weight="700" color="linear-gradient(90deg, #ff0000, #0000ff)" />',
  ],
  ['words with a shadow', '<text text="Velmora" size="36" weight="700" text-shadow="3 3 0 #b86b35" />'],
  ['words with a soft shadow', '<text text="Velmora" size="36" weight="700" text-shadow="0 2 6 #000000" />'],
  [
    'a switch of its own colours',
    '<switch label="Quiet" checked="true" part(track).background="#b86b35" part(thumb).background="#1f2a24" part(thumb).corner="3" />',
  ],
  [
    'a field of its own colours',
    '<textField label="Party" value="Ten" part(box).background="#e4ece6" part(box).corner="16" part(label).color="#b23a2e" />',
  ],
];
