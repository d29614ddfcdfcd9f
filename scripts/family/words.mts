/** The words that name a family, by language; each word speaks for one family. */
type Words = readonly (readonly [word: string, family: string])[];

const words = (families: Readonly<Record<string, string>>): Words =>
  Object.entries(families).flatMap(([family, all]) => all.split(' ').map((word) => [word, family] as const));

export const ENGLISH = words({
  red: 'red crimson scarlet maroon vermilion burgundy',
  orange: 'orange apricot tangerine',
  yellow: 'yellow mustard gold lemon',
  green: 'green olive lime emerald',
  teal: 'teal turquoise aqua cyan aquamarine',
  blue: 'blue navy azure',
  purple: 'purple violet lavender lilac mauve indigo plum',
  pink: 'pink magenta rose fuchsia',
  brown: 'brown chocolate tan beige sienna umber khaki taupe',
  black: 'black',
  grey: 'grey gray slate',
  white: 'white ivory cream',
});
/** Names of screens' colours are written together: the end of the word speaks. */
export const CSS = words({
  red: 'red crimson maroon firebrick',
  orange: 'orange',
  yellow: 'yellow gold goldenrod',
  green: 'green lime olive chartreuse',
  teal: 'teal turquoise aqua cyan aquamarine',
  blue: 'blue navy azure',
  purple: 'purple violet lavender indigo plum orchid thistle',
  pink: 'pink magenta fuchsia',
  brown: 'brown tan beige chocolate sienna khaki',
  black: 'black',
  grey: 'gray grey silver gainsboro',
  white: 'white ivory snow whitesmoke linen seashell',
});
export const FRENCH = words({
  red: 'rouge',
  orange: 'orange',
  yellow: 'jaune',
  green: 'vert',
  teal: 'turquoise',
  blue: 'bleu',
  purple: 'violet mauve',
  pink: 'rose',
  brown: 'brun marron beige',
  black: 'noir',
  grey: 'gris',
  white: 'blanc',
});
export const GERMAN = words({
  red: 'rot',
  orange: 'orange',
  yellow: 'gelb',
  green: 'grün',
  teal: 'türkis',
  blue: 'blau',
  purple: 'violett lila',
  pink: 'rosa pink',
  brown: 'braun beige',
  black: 'schwarz',
  grey: 'grau',
  white: 'weiß weiss',
});
export const SPANISH = words({
  red: 'rojo',
  orange: 'naranja',
  yellow: 'amarillo',
  green: 'verde',
  teal: 'turquesa',
  blue: 'azul',
  purple: 'morado violeta púrpura lila',
  pink: 'rosa rosado',
  brown: 'marrón café pardo beige',
  black: 'negro',
  grey: 'gris',
  white: 'blanco',
});
const KOREAN = words({
  red: '빨강색 빨간색 붉은색 적색 진홍색 선홍색 다홍색 주홍색 와인색 버건디색 벽돌색',
  orange: '주황색 귤색 오렌지색',
  yellow: '노랑색 노란색 황색 개나리색 레몬색 금색 겨자색',
  green: '연두색 초록색 녹색 풀색 올리브색 쑥색 국방색 라임색 에메랄드색 올리브그린색',
  teal: '청록색 청녹색 옥색 민트색',
  blue: '하늘색 파랑색 파란색 남색 군청색 청색 진청색 연청색 코발트블루색 바다색 소라색 네이비색 곤색 감색',
  purple: '보라색 바이올렛색 라벤더색 자주색 자두색',
  pink: '분홍색 핑크색 인디핑크색 마젠타색 진달래색 핫핑크색',
  brown: '갈색 고동색 적갈색 황갈색 황토색 베이지색 카키색',
  black: '검정색 검은색',
  grey: '회색 청회색',
  white: '상아색 아이보리색',
});
const CHINESE = words({
  red: '红色 紫红色',
  orange: '橙色 橘色',
  yellow: '黄色',
  green: '绿色',
  teal: '青色',
  blue: '蓝色 藏青色 靛色',
  purple: '紫色 紫罗兰色',
  pink: '粉色 粉红色 玫红色 桃紅色 品红色 洋红色',
  brown: '棕色 褐色 咖啡色 土色 米色',
  black: '黑色',
  grey: '灰色',
});
const RUSSIAN = words({
  red: 'красный бордовый',
  orange: 'оранжевый',
  yellow: 'желтый',
  green: 'зеленый зелёный салатовый оливковый мятный',
  teal: 'бирюзовый',
  blue: 'синий голубой',
  purple: 'фиолетовый сиреневый лиловый пурпурный',
  pink: 'розовый фуксия малиновый',
  brown: 'коричневый бежевый',
  black: 'черный',
  grey: 'серый',
});
const DUTCH = words({
  red: 'rood',
  orange: 'oranje',
  yellow: 'geel',
  green: 'groen',
  teal: 'turquoise',
  blue: 'blauw',
  purple: 'paars lila',
  pink: 'roze magenta',
  brown: 'bruin beige',
  black: 'zwart',
  grey: 'grijs',
});
const POLISH = words({
  red: 'czerwony bordowy',
  orange: 'pomarańczowy',
  yellow: 'żółty',
  green: 'zielony',
  teal: 'turkusowy',
  blue: 'niebieski granatowy',
  purple: 'fioletowy',
  pink: 'różowy',
  brown: 'brązowy',
  black: 'czarny',
  grey: 'szary',
});
const SWEDISH = words({
  red: 'röd',
  orange: 'orange',
  yellow: 'gul',
  green: 'grön',
  teal: 'turkos',
  blue: 'blå',
  purple: 'lila',
  pink: 'rosa',
  brown: 'brun',
  black: 'svart',
});
const FINNISH = words({
  red: 'punainen',
  orange: 'oranssi',
  green: 'vihreä',
  teal: 'turkoosi',
  blue: 'sininen',
  purple: 'violetti liila',
  pink: 'pinkki',
  brown: 'ruskea',
});
const PORTUGUESE = words({
  red: 'vermelho vinho',
  orange: 'laranja',
  yellow: 'amarelo',
  green: 'verde',
  teal: 'ciano',
  blue: 'azul',
  purple: 'roxo lilás violeta',
  pink: 'rosa magenta',
  brown: 'marrom bege',
  black: 'preto',
  grey: 'cinza',
});
const PERSIAN = words({
  red: 'قرمز زرشکی',
  orange: 'نارنجی',
  yellow: 'زرد',
  green: 'سبز یشمی',
  teal: 'فیروزه',
  blue: 'آبی سرمه سورمه نیلی',
  purple: 'بنفش ارغوانی یاسی بادمجانی',
  pink: 'صورتی سرخابی',
  brown: 'قهوه',
  black: 'سیاه',
  grey: 'خاکستری طوسی',
  white: 'کرم',
});
const ROMANIAN = words({ green: 'verde', blue: 'albastru', purple: 'mov', pink: 'roz' });

/** The survey's other languages, by the key of their list, and whether the end of a name speaks or its first word. */
export const SURVEYED: Readonly<Record<string, readonly ['end' | 'first', Words]>> = {
  mlmc_korean: ['end', KOREAN],
  mlmc_chinese: ['end', CHINESE],
  mlmc_russian: ['end', RUSSIAN],
  mlmc_dutch: ['end', DUTCH],
  mlmc_polish: ['end', POLISH],
  mlmc_swedish: ['end', SWEDISH],
  mlmc_finnish: ['end', FINNISH],
  mlmc_portuguese: ['first', PORTUGUESE],
  mlmc_persian: ['first', PERSIAN],
  mlmc_romanian: ['first', ROMANIAN],
};

export type { Words };
