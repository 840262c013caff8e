import "./chunk-MLKGABMK.js";

// packages/frame-juggler/dist/browser/play-button.js
var svg = "http://www.w3.org/2000/svg";
var size = 64;
function playButton(canvas, title, pressed) {
  const document = canvas.ownerDocument;
  const button = document.createElement("button");
  button.type = "button";
  button.setAttribute("aria-label", `Play ${title}`);
  Object.assign(button.style, {
    position: "absolute",
    boxSizing: "border-box",
    width: `${size}px`,
    height: `${size}px`,
    margin: "0",
    padding: "0",
    border: "2px solid #fff",
    borderRadius: "50%",
    background: "#10242fcc",
    cursor: "pointer"
  });
  const sign = document.createElementNS(svg, "svg");
  sign.setAttribute("viewBox", "0 0 60 60");
  sign.setAttribute("aria-hidden", "true");
  const triangle = document.createElementNS(svg, "path");
  triangle.setAttribute("d", "M24 18 L44 30 L24 42 Z");
  triangle.setAttribute("fill", "#fff");
  sign.append(triangle);
  button.append(sign);
  button.addEventListener("click", pressed);
  canvas.after(button);
  const follow = new ResizeObserver(() => {
    button.style.left = `${canvas.offsetLeft + (canvas.offsetWidth - size) / 2}px`;
    button.style.top = `${canvas.offsetTop + (canvas.offsetHeight - size) / 2}px`;
  });
  follow.observe(canvas);
  follow.observe(document.documentElement);
  return () => {
    follow.disconnect();
    button.remove();
  };
}
export {
  playButton
};
