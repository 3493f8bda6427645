# frozen_string_literal: true

require "capybara/cuprite"

# A hand looks where a thing is before it presses. What comes in late moves things about, and a press that was aimed
# before would land beside them: every press of a browser spec waits until nothing is asked any more, or is about to be,
# and the thing has stood still from one frame to the next. While a spec holds answers back on purpose, only standing
# still counts.
module SteadyPress
  STILL = <<~JS
    const [node, heldBack, done] = arguments;
    const last = performance.now() + 15000;
    const place = () => JSON.stringify(node.getBoundingClientRect());
    let before;
    const look = () => {
      const now = place();
      const still = now === before && (heldBack || (!window.askedUnderWay && !window.soon?.size));
      before = now;
      still || performance.now() > last ? done() : requestAnimationFrame(look);
    };
    look();
  JS

  class << self
    # Set while a spec holds answers back.
    attr_accessor :held_back
  end

  def click(keys = [], **options)
    driver.evaluate_async_script(STILL, self, SteadyPress.held_back == true)
    super
  end
end

Capybara::Cuprite::Node.prepend(SteadyPress)
