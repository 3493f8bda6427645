# frozen_string_literal: true

require_relative "../../boot/reference"
require_relative "../../core/dating/judge"

# Random stories of stacks: a household that buys, opens, moves, freezes, looks and cooks at random over some weeks.
class Stories
  CORE = NutShelf::Core
  FOODS = %w[
    beef-mince chicken-breast mozzarella cheddar butter plain-yoghurt eggs semi-skimmed-milk uht-milk white-bread
    strawberries tomatoes onions garlic cabbage bananas avocado potatoes rolled-oats white-rice canned-chickpeas
    canned-tuna-water jam mayonnaise frozen-peas frozen-berries infant-formula-powder honey smoked-salmon
    peanut-butter class-cooked-soup-stew class-cooked-meat-dish cooked-rice class-home-canned-jam class-home-broth
  ].freeze
  SITUATIONS = {
    "class-home-canned-jam" => %w[home_canned], "bananas" => %w[ripening bought_sealed],
    "avocado" => %w[ripening bought_sealed], "frozen-peas" => %w[bought_frozen], "frozen-berries" => %w[bought_frozen]
  }.freeze
  PLACES = %w[cupboard cool_dark fridge fridge freezer].freeze
  START = Date.new(2026, 10, 1)

  def initialize(random, catalog: NutShelf::Boot::Reference.catalog)
    @random = random
    @foods = FOODS.filter_map { |key| catalog.foods[key] }
  end

  # @return [NutShelf::Core::Story]
  def story(parts: true)
    food = pick(@foods)
    come = START + @random.rand(5)
    CORE::Story.new(
      food: food,
      situation: situation(food),
      acquired_on: sometimes(9) { come },
      made_on: made(food, come),
      place: standing,
      leftover_days: sometimes(3) { @random.rand(4) },
      **printed(food, come),
      events: events(come, parts).freeze,
      quarantined: @random.rand(30).zero?
    )
  end

  def events(come, parts)
    day = come
    Array.new(@random.rand(6)) { event(day += @random.rand(@random.rand(4).zero? ? 25 : 3), parts: parts) }
  end

  # @return [NutShelf::Core::Event]
  def event(day, parts: true)
    kind = pick(%i[opened moved moved moved looked cut cooked frozen thawed stored topped_up ripened])
    CORE::Event.new(
      kind: kind,
      on: day,
      place: kind == :moved ? standing : nil,
      method: kind == :stored ? pick(%w[bag jar water]) : nil,
      result: kind == :looked ? pick(%i[good good good turning bad]) : nil,
      parts: with_parts(kind, day, parts)
    )
  end

  def standing = CORE::Standing.new(name: "there", kind: pick(PLACES))

  def pick(list) = list[@random.rand(list.size)]

  private

  def sometimes(times) = @random.rand(10) < times ? yield : nil

  def situation(food)
    return pick(%w[left_over cooked]) if food.aisle == "Home leftovers" && !SITUATIONS.key?(food.key)

    pick(SITUATIONS.fetch(food.key, %w[bought_sealed bought_sealed bought_sealed opened thawed frozen_at_home]))
  end

  def made(food, come) = food.aisle == "Home leftovers" ? come : nil

  def printed(food, come)
    return {} if food.aisle == "Home leftovers" || @random.rand(3).zero?

    { printed_on: come + @random.rand(-3..30), printed_kind: pick(%i[use_by best_before]) }
  end

  def with_parts(kind, day, parts)
    return [].freeze unless parts && (kind == :topped_up || (kind == :cooked && @random.rand(2).zero?))

    [
      CORE::Part.new(
        name: "A part",
        safety_until: sometimes(5) { day + @random.rand(-1..9) },
        quality_until: sometimes(5) { day + @random.rand(-1..30) },
        stopped: @random.rand(12).zero?,
        unknown: @random.rand(12).zero?,
        cooked: @random.rand(3).zero?
      )
    ].freeze
  end
end

# The caps law, told a second time and in another way than the core tells it: day by day, what is the latest day that a
# stack may count as good? One sentence for each kind of cap; clocks are left out, since they only shorten.
class CapsLaw
  NEVER = Date.new(1, 1, 1)
  BROKEN = %w[opened cut cooked left_over thawed].freeze

  def initialize(story, catalog)
    @story = story
    @food = story.food
    @catalog = catalog
    @place = story.place.kind
    @state = story.situation
    @frozen = @thawed = false
    @safety = []
    @quality = []
    @looks = []
    @turning = []
  end

  # @return [Date, nil] nil: nothing limits it
  def latest
    arrive
    ordered.each { |event| day(event) }
    @safety << @warm if @warm
    return NEVER if @stopped || @story.quarantined

    [*@safety, *@turning, *@quality.map { |date| covered(date) }].min
  end

  private

  def ordered = NutShelf::Core::Chronicle.of(@story)

  def start = [@story.made_on || @story.acquired_on, *@story.events.map(&:on)].compact.min

  # A use-by is a safety date, an infant food's date whatever it is called; a best-before is one of quality. A recipe's
  # own limit is one of safety.
  def arrive
    by = @food.infant || @story.printed_kind == :use_by ? @safety : @quality
    by << @story.printed_on if @story.printed_on
    if @story.leftover_days && (@story.made_on || @story.acquired_on)
      @safety << ((@story.made_on || @story.acquired_on) + @story.leftover_days)
    end
    @state = "bought_frozen" if @food.aisle == "Frozen" && @state == "bought_sealed"
    came_from_the_cold
    warm(start)
  end

  def came_from_the_cold
    noted = noted?
    return came_thawed if @state == "thawed"
    return (@frozen = true) && (@place == "freezer" || thaw(start)) if @state == "bought_frozen"
    return unless @place == "freezer" || @state == "frozen_at_home"

    @place = "fridge"
    freezing(dated? ? start : nil) unless noted
    @place = "freezer" unless noted
  end

  # The day it went in, when that is told before it ever left.
  def noted?
    left = ordered.index { |event| event.kind == :thawed || (event.kind == :moved && event.place.kind != "freezer") }
    ordered.first(left || ordered.size).any? { |event| event.kind == :frozen }
  end

  def dated? = !(@story.made_on || @story.acquired_on).nil?

  def came_thawed
    place = @place
    @place = "fridge" if place == "freezer"
    thaw(start)
    to("freezer", dated? ? start : nil) if place == "freezer" && !noted?
  end

  def day(event)
    case event.kind
    when :opened, :cut
      @state = event.kind.to_s unless (BROKEN.include?(@state) && @state != "opened") || @frozen
    when :moved
      to(event.place.kind, event.on)
    when :frozen
      to("freezer", event.on)
    when :thawed
      to("fridge", event.on) if @frozen || @place == "freezer"
    when :looked
      look(event)
    when :cooked
      cook(event)
    when :topped_up
      event.parts.each { |part| poured(part, event.on) }
    end
    warm(event.on)
  end

  # A failed look stops; any other is remembered for dates of quality; what is turning has two days.
  def look(event)
    @stopped = true if event.result == :bad
    @looks << event.on unless event.result == :bad
    @turning << (event.on + 2) if event.result == :turning
  end

  def to(place, on)
    leave_warmth(on) if %w[fridge freezer].include?(place)
    from = @place
    @place = place
    return freezing(on) if place == "freezer" && !@frozen

    thaw(on) if @frozen && from == "freezer" && place != "freezer"
  end

  # Frozen in time, dates become days left; frozen too late, or again after a thaw, it is not to eat.
  def freezing(on)
    return @stopped = true if @thawed || (on && @safety.any? { |date| date < on })
    return if sealed? && @food.freezing_damage
    unless @catalog.keeping(
      @food,
      %w[left_over cooked home_dried].include?(@state) ? @state : "frozen_at_home",
      "freezer"
    ).row?
      return
    end

    @frozen = true
    return unless on

    @left = [@left, *@safety.reject { |date| infant?(date) }.map { |date| (date - on).to_i }].compact.min
    @safety.select! { |date| infant?(date) }
    let_go_of_quality(on)
  end

  def let_go_of_quality(on)
    @quality.select! { |date| covered(date) < on }
    @turning.select! { |date| date < on }
  end

  # Thawed, it has the days after thawing, never more than were left; out of the fridge, high-risk food has that day.
  def thaw(on)
    @frozen = false
    return unless on

    row = @catalog.keeping(@food, "thawed", "fridge").row
    (safe_kind? ? @safety : @quality) << (on + (row ? row.after_thaw_days || row.high : 0))
    @thawed = true if safe_kind? || @food.high_risk
    @safety << (on + @left) if @left
    @safety << on if @food.high_risk && %w[cupboard cool_dark].include?(@place)
  end

  # Cooked within safety it is a new food; heated again it is not; too late, it is not to eat.
  def cook(event)
    return event.parts.each { |part| cooked_in(part, event.on) } if making?(event.on)
    return @stopped = true if @safety.any? { |date| date < event.on }

    if !%w[cooked left_over].include?(@state) && @catalog.keeping(@food, "cooked", "fridge").row?
      @safety.select! { |date| infant?(date) }
      let_go_of_quality(event.on)
      @left = @warm = nil
      @thawed = @frozen = false
      @state = "cooked"
    end
    event.parts.each { |part| cooked_in(part, event.on) }
    freezing(event.on) if @place == "freezer" && !@frozen
  end

  def safe_kind?
    row =
      @catalog.keeping(
        @food,
        { "bought_frozen" => "opened", "thawed" => "bought_sealed" }.fetch(@state, @state),
        "fridge"
      ).row
    row.nil? || row.kind == :safety
  end

  def making?(on) = %w[cooked left_over].include?(@story.situation) && on == (@story.made_on || @story.acquired_on)

  # A jar keeps the dates and stops of all its parts, a dish those of what was cooked before.
  def poured(part, on)
    return @stopped = true if part.stopped || part.unknown || (part.safety_until && part.safety_until < on)
    return @left = [@left, part.safety_until && (part.safety_until - on).to_i].compact.min if @frozen

    @safety << part.safety_until if part.safety_until
    @quality << part.quality_until if part.quality_until
  end

  def cooked_in(part, on)
    return @stopped = true if part.stopped || part.unknown || (part.safety_until && part.safety_until < on)

    poured(part, on) if part.cooked && !@frozen
  end

  # Out of the cold over a night, food that germs like had two hours of the first day.
  def warm(on)
    return if @frozen || !%w[cupboard cool_dark].include?(@place)

    [@state, *("thawed" if @thawed)].any? { |state| germs?(state) } ? @warm ||= on : leave_warmth(on)
  end

  def germs?(state)
    return false if @catalog.keeping(@food, state, @place).row?

    (@food.high_risk && BROKEN.include?(state)) || @catalog.keeping(@food, state, "fridge").row&.kind == :safety
  end

  def leave_warmth(on)
    @safety << @warm if @warm && @warm != on
    @warm = nil
  end

  def sealed? = ![*BROKEN, "frozen_at_home"].include?(@state)

  def infant?(date) = @food.infant && date == @story.printed_on

  # A good look covers a passed date of quality, within the class's tolerance.
  def covered(date) = @looks.any? { |on| on > date } ? date + @food.past_date_tolerance_days : date
end
