/** Stands where Paper would load an icon font: the app draws its own icons, through Paper's settings. */
export default function NoIcon() {
  return null;
}
