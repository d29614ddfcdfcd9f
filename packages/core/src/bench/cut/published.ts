/** Tasks of the literature (Wang 1983, Operations Research 31; Oliveira & Ferreira 1990, EJOR 44): sheets of 70 × 40 that are filled with the most area: width, height, and how often at most; none is turned. */
export const WANG = {
  name: 'Wang (1983)',
  best: 2721,
  panels: [
    ...[
      [17, 9, 1],
      [11, 19, 4],
      [12, 21, 3],
      [14, 23, 4],
      [24, 15, 1],
      [24, 15, 2],
      [25, 16, 4],
      [27, 17, 2],
    ],
    ...[
      [18, 29, 3],
      [21, 31, 3],
      [32, 22, 2],
      [23, 33, 3],
      [34, 24, 2],
      [35, 25, 2],
      [36, 26, 1],
      [37, 27, 1],
    ],
    ...[
      [38, 28, 1],
      [39, 29, 1],
      [41, 30, 1],
      [43, 31, 1],
    ],
  ] as [number, number, number][],
};
export const OLIVEIRA_FERREIRA = {
  name: 'Oliveira and Ferreira (1990), 2',
  best: 2690,
  panels: [
    ...[
      [22, 18, 2],
      [40, 10, 1],
      [13, 27, 3],
      [23, 18, 2],
      [29, 8, 4],
    ],
    ...[
      [16, 4, 1],
      [47, 9, 1],
      [19, 19, 4],
      [13, 16, 2],
      [36, 16, 4],
    ],
  ] as [number, number, number][],
};
