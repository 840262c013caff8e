import {
  ExactSurface
} from "./chunk-PFVTOA5Z.js";
import "./chunk-3A6COZNW.js";
import "./chunk-MECBHCPL.js";
import "./chunk-FYXFEF5H.js";
import "./chunk-LDXCYOWX.js";
import "./chunk-NE2UDUYN.js";
import "./chunk-XNENNZIQ.js";
import "./chunk-64DTOP6Y.js";
import "./chunk-BTP6WEQV.js";
import "./chunk-IWQLMP55.js";
import "./chunk-MLKGABMK.js";
export {
  ExactSurface
};
