# frozen_string_literal: true

require_relative "support"
require_relative "../support/stories"

# Laws over random stories. bench/stories.rb walks many more.
RSpec.describe "Random stories of stacks" do
  include CoreSupport

  let(:random) { Random.new(RSpec.configuration.seed) }
  let(:stories) { Stories.new(random) }

  def told(story)
    "#{story.food.key} #{story.situation} #{story.to_h.except(:food, :events)} #{story.events.map(&:to_h)}"
  end

  def dated(story, school: :look_then_decide, today: "2026-11-24") = date(story, school: school, today: today)

  it "are never good later than the caps in force allow" do
    late =
      Array.new(2000) { stories.story }.reject do |story|
        latest = CapsLaw.new(story, catalog).latest
        dating = dated(story)
        latest.nil? || dating.state == :stop || dating.usable_until.nil? || dating.usable_until <= latest
      end
    expect(late.map { |story| told(story) }.first(3)).to be_empty
  end

  it "stop for good what the law stops" do
    eaten =
      Array.new(1500) { stories.story }.select do |story|
        dating = dated(story)
        CapsLaw.new(story, catalog).latest == CapsLaw::NEVER && dating.state != :stop && !dating.unknown
      end
    expect(eaten.map { |story| told(story) }.first(3)).to be_empty
  end

  it "become no younger by one more move, top-up, opening, cut, or another way of storing" do
    younger =
      Array.new(1500) { stories.story }.reject do |story|
        on = [story.started_on, *story.events.map(&:on)].compact.max || day("2026-10-05")
        one = Stories.new(random).event(on + random.rand(3))
        next true unless %i[moved topped_up opened cut stored].include?(one.kind)

        caps = CapsLaw.new(story, catalog).latest
        after = NutShelf::Core::Story.new(**story.to_h, events: [*story.events, one].freeze)
        allowed = CapsLaw.new(after, catalog).latest
        now = dated(after)
        caps.nil? || now.stopped || now.usable_until.nil? || allowed.nil? || now.usable_until <= allowed
      end
    expect(younger.map { |story| told(story) }.first(3)).to be_empty
  end

  it "never come back from a stop" do
    back =
      Array.new(1500) { stories.story }.select do |story|
        next unless dated(story).stopped && !story.quarantined

        later =
          NutShelf::Core::Story.new(**story.to_h, events: [*story.events, stories.event(day("2026-12-20"))].freeze)
        !dated(later, today: "2026-12-21").stopped
      end
    expect(back.map { |story| told(story) }.first(3)).to be_empty
  end

  it "are told alike by every school where the answer says that none matters" do
    schools = %i[by_the_date look_then_decide]
    told_apart =
      Array.new(1500) { stories.story }.select do |story|
        answers = schools.map { |school| dated(story, school: school) }
        answers.none?(&:by_school) && answers.uniq.size > 1
      end
    expect(told_apart.map { |story| told(story) }.first(3)).to be_empty
  end

  it "are never good longer by the date alone than by look, then decide" do
    longer =
      Array.new(1000) { stories.story }.select do |story|
        strict, loose = %i[by_the_date look_then_decide].map { |school| dated(story, school: school).usable_until }
        strict && loose && strict > loose
      end
    expect(longer.map { |story| told(story) }.first(3)).to be_empty
  end

  def respelled(story, events: story.events, **facts)
    NutShelf::Core::Story.new(**story.to_h, events: events.freeze, **facts)
  end

  def same?(one, other)
    [one, other].map { |story| dated(story) }.then { |a, b| [a.usable_until, a.state] == [b.usable_until, b.state] }
  end

  it "date alike, whether freezing is told as freezing or as a move into the freezer" do
    different =
      Array.new(800) { stories.story(parts: false) }.reject do |story|
        moves =
          story.events.map do |event|
            place = { frozen: "freezer", thawed: "fridge" }[event.kind]
            place ? NutShelf::Core::Event.new(kind: :moved, on: event.on, place: standing(place)) : event
          end
        # A thaw of what is not frozen says nothing, while a move to the fridge does.
        story.events.any? { |event| event.kind == :thawed } || story.place.freezer? ||
          story.situation == "frozen_at_home" || same?(story, respelled(story, events: moves))
      end
    expect(different.map { |story| told(story) }.first(3)).to be_empty
  end

  it "date alike, whether food began in the freezer or was carried there from the fridge on the same day" do
    foods = %w[beef-mince chicken-breast white-bread mozzarella strawberries].map { |key| food(key) }
    foods.product([nil, 2, 9]).each do |one, days|
      printed = days ? { printed_on: day("2026-10-01") + days, printed_kind: :use_by } : {}
      later = [event(:moved, "2026-11-20", place: standing("fridge"))]
      straight =
        NutShelf::Core::Story.new(
          food: one,
          place: standing("freezer"),
          acquired_on: day("2026-10-01"),
          events: later,
          **printed
        )
      carried =
        NutShelf::Core::Story.new(
          food: one,
          place: standing("fridge"),
          acquired_on: day("2026-10-01"),
          events: [event(:moved, "2026-10-01", place: standing("freezer")), *later],
          **printed
        )
      expect([one.key, days, dated(straight).usable_until]).to eq([one.key, days, dated(carried).usable_until])
    end
  end

  it "date alike in whichever order a day's opening and carrying were noted" do
    foods = catalog.foods.values.reject { |one| one.key.start_with?("class-") || one.food_group == "supplies" }
    differing =
      foods.product(%i[opened cut cooked], %w[cupboard cool_dark fridge]).reject do |one, kind, place|
        done = event(kind, "2026-11-20")
        carried = event(:moved, "2026-11-20", place: standing(place))
        base =
          NutShelf::Core::Story.new(
            food: one,
            place: standing(one.aisle == "Frozen" ? "fridge" : "cupboard"),
            acquired_on: day("2026-11-19")
          )
        same?(respelled(base, events: [done, carried]), respelled(base, events: [carried, done]))
      end
    expect(differing.map { |one, kind, place| [one.key, kind, place] }).to be_empty
  end
end
