// Places to touch on the drawing are as large as a gloved finger and overlap where joints lie close: the one
// whose middle is nearest is meant.
const middle = (joint) => {
  const box = joint.querySelector(".joint-touch").getBoundingClientRect();
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

export function startNearest() {
  document.addEventListener(
    "click",
    (event) => {
      const touched = event.target.closest && event.target.closest(".circuit a.joint");
      if (!touched || event.detail === 0) {
        return; // the keyboard means what it is on
      }
      const far = (joint) => {
        const m = middle(joint);
        return Math.hypot(m.x - event.clientX, m.y - event.clientY);
      };
      const joints = [...touched.closest("svg").querySelectorAll("a.joint")];
      const meant = joints.reduce((a, b) => (far(b) < far(a) ? b : a), touched);
      if (meant !== touched) {
        event.preventDefault();
        event.stopImmediatePropagation();
        meant.dispatchEvent(new MouseEvent("click", { bubbles: true, cancelable: true }));
      }
    },
    true,
  );
}
