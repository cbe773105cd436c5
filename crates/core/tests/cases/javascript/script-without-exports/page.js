/** Shows the page. */
function show() {}

var hide = function () {};

(function () {
  function inside() {}
})();
