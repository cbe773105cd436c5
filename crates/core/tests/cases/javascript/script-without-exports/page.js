/** Shows the page. */
function show() {}

var hide = function () {};

(function () {
  function inside() {}
})();

if (!Array.prototype.heaviest) {
  Array.prototype.heaviest = function (least) {
    return least;
  };
}

if (Array.prototype.at) {
  Array.prototype.lightest = function (most) {
    return most;
  };
}
