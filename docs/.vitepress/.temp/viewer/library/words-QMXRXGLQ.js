import {
  colorInWords,
  frameInWords
} from "./chunk-CZVM3HYK.js";
import "./chunk-JEROG5JX.js";
import "./chunk-LDXCYOWX.js";
import "./chunk-NE2UDUYN.js";
import "./chunk-64DTOP6Y.js";
import "./chunk-BTP6WEQV.js";
import "./chunk-IWQLMP55.js";
import "./chunk-MLKGABMK.js";
export {
  colorInWords,
  frameInWords
};
