/**
 * Every technique in two or three pictures: how it begins, what the hands do, what becomes of it. Pictures stand between bars, each on 48 x 36:
 * `what x y size` and, where it is turned, `rDegrees`; `tool` is the tool in the child’s hand, `food` what it works on.
 */
export const FRAMES: Readonly<Record<string, string>> = {
  'wash-hands':
    'tap 15 9 16; open 30 22 26; tool 42 12 10 | open 18 20 25; open 31 20 25 m; foam 24 16 20; drops 24 30 10 | open 16 20 26; open 33 20 26 m; shine 25 6 10',
  'wash-produce':
    'tap 12 9 16; food 30 22 20 | tap 10 8 14; tool 26 25 22; food 24 15 14; grip 39 14 15; drops 12 20 10 | bowl 24 26 30; food 20 17 14; food 29 17 14; shine 42 8 10',
  tear: 'flatbread 24 19 24; pinch 10 10 17 m; pinch 38 10 17 | torn 24 20 26; grip 8 12 15 m; grip 40 12 15; apart 24 32 10 | bowl 24 26 30; leaves 24 12 20',
  'pick-leaves':
    'sprig 22 18 30; grip 9 30 14 | sprig 18 18 30; pinch 33 10 20; right 38 27 12 | bowl 24 26 30; leaves 24 12 20',
  'pour-dry':
    'bowl 32 27 26; tool 13 12 20; heap 13 5 11 | bowl 31 27 28; tool 14 11 20 r70; crumbs 28 15 14; grip 9 24 14 | full 24 22 34; down 40 8 10',
  'pour-liquid':
    'bowl 32 27 26; tool 13 15 22 | bowl 31 27 28; tool 13 10 22 r50; stream 28 15 16; grip 6 18 14 | full 24 22 34; tool 41 8 12',
  'level-scoop':
    'heap 32 24 24; cup 14 16 18; grip 6 20 13 | cup 22 23 22; heap 22 10 16; tool 26 13 26; grip 39 8 14; right 40 26 10 | cup 20 20 26; level 20 11 14; shine 40 10 11',
  'count-out':
    'loose 24 10 20; cup 24 27 18 | pinch 30 11 20; loose 12 12 16; cup 28 27 18 | cup 16 20 26; loose 16 14 12; open 37 20 24',
  'weigh-scale':
    'tool 24 23 26; bowl 24 9 18 | tool 22 25 24; bowl 22 11 18; heap 22 5 12; pinch 38 8 16; down 40 24 10 | tool 24 25 24; full 24 9 20; shine 42 8 10',
  stir: 'bowl 24 25 32; tool 33 10 20; crumbs 20 16 12 | full 24 25 32; tool 27 12 22; grip 35 5 14; turn 12 9 14 | full 24 22 36; shine 24 6 12',
  mash: 'bowl 24 25 32; food 18 16 13; food 29 16 13 | bowl 24 26 32; tool 24 14 22; grip 24 4 14; press 39 12 12; heap 24 22 14 | full 24 22 36; heap 24 14 16',
  knead:
    'board 24 26 42; lump 24 19 20 | board 24 26 42; flatdough 24 21 24; flat 20 14 22; right 40 11 14 | board 24 26 42; lump 22 19 18; palms 22 13 20; turn 41 10 12',
  'rub-in':
    'bowl 24 26 32; bits 24 14 16 | bowl 24 27 32; pinch 14 12 18 m; pinch 34 12 18; crumbs 24 20 14 | bowl 24 25 34; crumbs 24 18 22; crumbs 24 12 14',
  'roll-out':
    'board 24 27 42; ball 24 18 16 | board 24 27 42; flatdough 24 23 28; tool 24 14 22; grip 9 13 13 m; grip 39 13 13 | board 24 27 42; flatdough 24 22 40; fro 24 9 20',
  'cut-cutter':
    'flatdough 24 26 40; tool 24 10 20 | flatdough 24 27 40; tool 24 19 18; flat 24 9 22; press 42 10 12 | hole 14 18 20; stars 36 18 22',
  spread:
    'bread 18 20 26; tool 37 14 20 | buttered 18 20 26; tool 30 17 24; grip 40 25 14; fro 20 4 14 | buttered 24 18 30; shine 43 6 10',
  sprinkle:
    'full 22 27 28; tool 38 12 18 | full 22 28 30; open 22 6 20 r180; drops 22 18 18; fro 42 8 10 | full 24 24 34; crumbs 24 14 22',
  'brush-glaze':
    'ball 20 20 22; tool 38 14 20 | ball 18 21 22; tool 30 13 20 r30; grip 38 5 14; fro 18 5 16 | ball 24 18 26; shine 24 18 12',
  'squeeze-juice':
    'half 12 14 18; tool 35 22 22 | half 24 11 18; tool 24 21 18; grip 24 7 16; turn 41 10 12; cup 8 28 14 | cup 24 20 24; level 24 16 11',
  'snip-scissors':
    'sprig 15 17 28; tool 36 18 22 | sprig 24 8 24 r100; tool 24 18 22; grip 24 30 14; down 41 24 10 | bowl 24 26 30; crumbs 24 15 20',
  'peel-hand':
    'food 16 18 22; pinch 34 12 18 | open 24 20 24; curl 10 12 14; pinch 38 8 16; right 42 24 10 | naked 18 18 22; curl 37 24 16',
  'peel-peeler':
    'food 16 20 22; tool 37 14 20 | board 24 30 42; food 20 21 20; claw 9 14 15; tool 31 14 18; right 41 24 10 | naked 18 18 22; strips 37 22 16',
  grate:
    'tool 17 18 28; food 38 18 18 | tool 17 18 28; food 31 16 14; flat 39 14 17; down 42 28 10 | bowl 24 26 32; grate 24 13 18',
  'crush-pestle':
    'tool 18 21 28; leaves 38 12 16 | tool 24 22 28; grip 29 6 15; turn 9 9 13 | tool 22 21 28; crumbs 40 20 16',
  'bash-bag':
    'bag 15 18 26; pin 36 18 22 | bag 20 24 22; pin 24 10 22 r20; grip 38 12 14; down 7 10 12 | smashed 24 18 30',
  'cut-soft-table-knife':
    'board 24 29 42; food 18 17 20; tool 37 13 20 | board 24 29 42; food 18 20 18; flat 9 13 17; tool 30 15 22; grip 40 6 13 | board 24 29 42; slices 24 18 24',
  'bridge-cut':
    'board 24 29 42; food 24 19 18; bridge 24 15 26 | board 24 29 42; food 24 21 16; bridge 24 15 26; tool 24 18 18; grip 41 15 13 | board 24 29 42; halves 24 20 28',
  'claw-cut':
    'board 24 29 42; stick 26 20 24; claw 12 14 20 | board 24 29 42; stick 24 21 24; claw 11 14 18; tool 32 13 22; grip 42 6 13 | board 24 29 42; bits 24 18 26',
  core: 'food 18 20 24; tool 38 16 20 | food 22 23 22; tool 22 11 20; grip 22 4 13; press 41 10 14 | cored 17 19 24; stone 38 22 16',
  stone:
    'food 17 18 22; tool 37 18 22 | halves 24 20 34; stone 14 18 9; tool 33 11 16; turn 41 27 10 | halves 24 14 34; stone 24 29 14',
  'thread-skewer':
    'bits 13 18 18; tool 36 18 22 | tool 24 18 30; food 18 22 13; pinch 9 26 16; right 38 27 12 | rings 24 18 24 r-45; tool 24 18 36',
  'crack-egg':
    'egg 17 14 20; bowl 34 26 24 | cracked 16 15 20; grip 7 20 14; bowl 34 26 24; right 27 8 10 | shells 24 9 26; yolk 24 16 11; bowl 24 27 28; down 42 10 10',
  'separate-egg':
    'shells 24 10 28; yolk 24 12 10 | yolk 16 9 13; shells 16 9 24; stream 16 21 12; cup 16 30 14; tool 38 14 18 | cup 13 22 20; level 13 17 9; cup 35 22 20; yolk 35 18 11',
  whisk:
    'full 24 26 32; tool 35 11 20 | full 24 26 32; tool 25 13 22 r20; grip 31 4 13; turn 10 9 14 | full 24 24 34; foam 24 12 22',
  sieve:
    'tool 22 11 26; heap 20 8 12; bowl 22 28 24 | tool 20 11 26; drops 19 20 16; bowl 20 29 22; flat 39 12 16; fro 40 24 10 | bowl 24 24 34; heap 24 12 20',
  fold: 'full 24 26 32; heap 24 14 16; tool 39 12 18 | full 24 27 32; tool 24 14 22 r40; grip 34 6 13; turn 10 10 14 | full 24 24 34; foam 24 11 16',
  'fill-cases':
    'cases 24 25 36; full 24 9 18 | cases 24 26 36; tool 24 11 20; grip 35 6 13; down 10 10 11 | filled 24 21 40',
  pipe: 'tool 17 17 26; cases 36 26 20 | tool 24 12 24 r180; grip 24 7 15; cases 24 29 26; press 42 12 12 | filled 24 21 40; shine 24 6 10',
  'roll-wrap':
    'wrap 24 22 38 | wrap 24 24 36; rolled 14 19 16; open 33 10 17 r180; right 42 16 11 | rolled 24 18 32',
  shape: 'lump 24 19 26 | lump 24 19 14; palms 24 19 30; turn 42 8 12 | balls 24 17 30',
  arrange:
    'plate 22 24 34; scattered 22 9 18; tool 42 12 12 | picture 18 19 26; pinch 34 11 20; down 42 26 10 | picture 24 18 32',
  'scoop-out':
    'half 15 18 24; tool 37 16 20 | half 20 20 28; tool 27 12 20; grip 37 6 13; turn 8 8 11 | boats 20 20 30; heap 41 24 13',
  'pod-shell':
    'pod 24 18 30 | peas 24 15 28; pinch 10 23 17 m; pinch 38 23 17; apart 24 30 12 | bowl 24 25 32; loose 24 14 16',
  'shake-jar':
    'jar 24 19 28; level 24 24 12 | jar 24 18 24; grip 14 18 14 m; grip 34 18 14; shake 24 18 40 | jar 24 18 28; foam 24 20 13',
  'toss-coat':
    'bowl 24 26 32; bits 24 13 18 | bowl 24 27 32; bits 24 15 16; open 9 16 17; open 39 16 17 m; turn 24 4 11 | full 24 25 32; bits 24 15 20; shine 42 8 10',
  'rinse-drain-cold':
    'tap 14 9 16; tool 30 23 24 | tool 24 17 26; stream 24 6 13; drops 24 30 16 | tool 18 15 24; bowl 34 27 22; loose 18 9 11',
  'open-can':
    'tin 17 19 26; tool 37 17 20 | tin 22 23 24; tool 29 10 18; grip 39 12 14; turn 9 10 12 | tinopen 24 17 28',
  'electric-mixer':
    'full 20 26 28; tool 35 11 20 | full 24 28 30; tool 24 12 24; grip 35 6 14; shake 24 20 18 | full 24 24 34; foam 24 12 22',
  'blender-button':
    'blender 24 18 32; loose 24 11 10 | blender 20 18 32; flat 20 3 18; pinch 38 26 18 | blender 17 18 30; level 17 11 10; cup 37 22 20',
  'use-toaster':
    'toaster 22 22 28; bread 22 8 14 | toaster 22 22 30; pinch 40 12 17; down 8 8 11 | toaster 20 24 26; bread 20 8 14; hot 38 12 14',
  'use-toaster-oven':
    'heater 22 19 32; bread 40 9 13 | heater 24 19 34; bread 20 20 13; clock 40 8 13 | heater 18 20 28; glove 38 19 20',
  'use-microwave':
    'heater 20 18 32; bowl 41 25 14 | heater 24 18 34; full 20 18 15; pinch 40 8 15 m | heater 18 18 30; full 37 24 19; hot 37 11 12',
  'use-hob':
    'hob 24 27 32; pot 24 13 22 | hob 24 28 32; pot 22 18 22; long-spoon 28 8 18; grip 38 5 13 | pot 22 22 28; hot 22 7 13; glove 42 24 14',
  'use-oven':
    'tray 15 24 24; oven 36 18 24 | oven 24 18 30; clock 42 8 12; hot 7 18 12 | tray 20 24 26; hot 20 10 14; glove 39 20 18',
  'use-grill':
    'grill 30 18 28; bread 9 20 15 | grill 24 18 30; bread 24 22 10; clock 42 8 12 | bread 20 20 22; hot 20 6 11; glove 38 20 18',
  'use-kettle':
    'kettle 17 18 26; cup 38 24 18 | kettle 15 12 24 r30; stream 31 15 12; cup 31 28 16; glove 5 26 13 | cup 24 22 22; level 24 19 11; hot 24 6 12',
  'use-air-fryer':
    'fryer 16 18 28; bits 37 20 18 | fryer 22 18 30; clock 41 9 13; hot 6 18 11 | bits 18 20 22; hot 18 7 11; glove 38 20 18',
  'use-griddle':
    'tool 24 25 30; flatdough 24 13 16 | tool 24 28 30; flatdough 22 19 18; turn 36 10 13; glove 8 10 14 | plate 24 24 32; flatdough 24 18 22; hot 24 6 12',
  'use-campfire':
    'fire 16 18 28; tool 37 18 24 | fire 14 22 24; stick 32 13 28 r10; ball 24 12 9; grip 43 10 13 | ball 22 18 18; hot 22 6 11; glove 40 22 15',
  'carry-hot':
    'tray 20 22 26; hot 20 8 14; glove 40 20 17 | glove 8 20 18; tray 24 17 24; glove 40 20 18; hot 24 5 10 | tray 22 17 24; table 22 28 26; right 42 10 10',
  'drain-hot':
    'pot 13 17 22; colander 36 22 22 | pot 14 9 20 r60; glove 4 22 13; stream 28 15 12; colander 29 26 20 | colander 24 19 28; loose 24 12 12; hot 43 10 12',
  'deep-fry':
    'pot 24 22 28; level 24 20 12 | pot 22 23 26; slotted-spoon 30 10 20; glove 42 8 14; foam 20 14 14 | plate 24 25 32; balls 24 15 18; hot 42 8 11',
  'handle-raw-meat':
    'board 24 28 42; meat 24 17 24 | board 24 28 42; meat 22 19 20; glove 38 13 17 | tap 13 9 15; open 30 20 26; foam 30 17 15',
  taste: 'tool 14 18 22; food 35 18 18 | face 17 18 28; tool 35 20 20 | face 24 18 30; shine 43 8 10',
  'serve-self':
    'full 15 24 24; plate 36 25 20 | full 14 26 22; tool 21 11 18; grip 29 5 12; plate 37 27 18; right 34 14 9 | portion 24 19 34',
  'lay-table':
    'table 24 25 38; plate 24 10 16 | table 24 27 38; setting 20 11 18; carry 37 11 17 | setting 14 18 22; setting 36 18 22',
  'wipe-table':
    'table 24 25 38; crumbs 24 9 16 | table 24 27 38; tool 20 13 16; flat 20 6 20; right 40 10 12 | clear 24 20 36',
  sweep:
    'crumbs 14 20 22; tool 37 17 20 | crumbs 9 24 15; tool 24 18 22; grip 33 8 13; right 41 26 11 | bins 30 20 26; heap 12 26 13; shine 9 9 10',
  'wash-up':
    'dishes 14 20 22; tool 35 23 24 | basin 24 26 32; foam 24 15 18; grip 10 12 15; setting 36 10 13 | dishes 20 20 24; drops 37 18 14',
  'dry-put-away':
    'dishes 15 20 22; tool 36 17 20 | setting 20 18 24; tool 33 19 18; grip 40 9 14; turn 8 8 11 | dishes 24 18 28; shine 24 6 12',
  'sort-scraps':
    'crumbs 12 12 18; curl 30 10 14; bins 24 26 20 | bins 24 25 28; curl 15 8 12; pinch 32 7 16; down 42 12 10 | bins 24 21 32; curl 15 9 11; tinopen 33 8 11',
}
