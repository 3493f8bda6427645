# frozen_string_literal: true

require_relative "../support"
require_relative "../../../core/bags/contents"
require_relative "../../../core/bags/making"
require_relative "../../../core/kits/figures"
require_relative "../../../core/season/season_plan"
require_relative "../../../core/trips/cold_kept"
require_relative "../../../core/trips/coming_home"
require_relative "../../../core/trips/fuel"
require_relative "../../../core/trips/learning"
require_relative "../../../core/trips/packing"
require_relative "../../../core/trips/standing_box"

# What holds for every bag, jar and trip, whatever the figures.
RSpec.describe "The laws of bags, jars and trips" do
  include CoreSupport

  let(:dice) { Random.new(RSpec.configuration.seed) }
  let(:today) { day("2027-03-01") }

  def bags = NutShelf::Core::Bags

  def trips = NutShelf::Core::Trips

  def policy = NutShelf::Core::Policy.new

  def stack(key, id, grams, until_on, **more)
    bags::BagStack.new(id: id, food: food(key), grams: grams.to_r, value_minor: dice.rand(1..900),
      printed_on: until_on, printed_kind: :best_before, **more)
  end

  describe "bags" do
    let(:parts) { [["couscous", 90], ["raisins", 20]].map { |key, g| bags::Part.new(food: food(key), grams: g.to_r) } }

    def made(want, low_air: false)
      stacks = %w[couscous raisins].to_h do |key|
        list = Array.new(dice.rand(1..4)) do |at|
          stack(key, "#{key}#{at}", dice.rand(50..900), today + dice.rand(-5..700))
        end
        [food(key), list]
      end
      date = bags::PartDate.new(catalog, policy, low_air: low_air)
      [stacks, bags::Making.new(date, parts, stacks).call(want, on: today)]
    end

    it "take no more than there is, cost what was taken, and are good no longer than what is in them" do
      100.times do
        stacks, result = made(dice.rand(1..40), low_air: dice.rand < 0.5)
        taken = result.picks.group_by { |pick| pick.stack.food }.transform_values { |list| list.sum(0r, &:grams) }
        taken.each { |one, grams| expect(grams).to be <= stacks.fetch(one).sum(0r, &:grams) }
        expect(result.bags.sum(&:cost_minor)).to eq(result.picks.sum(&:value_minor))
        expect(result.bags.size).to eq(result.makes)
        expect(result.picks.map { |pick| pick.stack.printed_on }).to all(be >= today)
        latest = result.picks.map { |pick| pick.stack.printed_on }.max
        expect(result.bags.map { |bag| bag.until.on }).to all(be <= latest)
        expect(result.bags.map { |bag| bag.until.on }).to eq(result.bags.map { |bag| bag.until.on }.sort)
      end
    end

    it "are not closed without air over anything moist, but for the freezer" do
      jerky = stack("beef-jerky", "j", 100, today + 300)
      expect { bags::PartDate.new(catalog, policy, low_air: true).of(jerky, today) }
        .to raise_error(bags::Unpackable, /not dry enough/)
      expect(bags::PartDate.new(catalog, policy, place: "freezer", low_air: true).of(jerky, today)).not_to be_nil
    end

    it "take the date of what is in them alone, where a slice ends with its stack" do
      rice = [today + 10, today + 90].map { |day| stack("couscous", day.to_s, 90, day) }
      date = bags::PartDate.new(catalog, policy)
      result = bags::Making.new(date, parts.first(1), { food("couscous") => rice }).call(2, on: today)
      expect(result.bags.map { |bag| bag.until.on }).to eq([today + 10, today + 90])
    end

    it "hold nothing of unknown age that germs like, and keep no shorter without air" do
      chicken = bags::BagStack.new(id: "c", food: food("chicken-thighs"), grams: 1r, value_minor: 0, place: "fridge")
      expect(bags::PartDate.new(catalog, policy).of(chicken, today).on).to be < today
      rice = stack("white-rice", "r", 100, today + 1500)
      expect(bags::PartDate.new(catalog, policy, low_air: true).of(rice, today).on).to eq(today + 1500)
    end

    it "hold nothing that was past its safety date, though nothing else gives it one" do
      ham = stack("ham-sliced", "h", 100, today - 2).with(printed_kind: :use_by, place: "fridge")
      expect(bags::PartDate.new(catalog, policy).of(ham, today).on).to be < today
    end
  end

  describe "jars" do
    it "are eaten, left or past: no millilitre is lost" do
      100.times do
        jars = Array.new(dice.rand(0..4)) do |at|
          NutShelf::Core::Season::JarStack.new(
            id: at, size_ml: [250r, 500r].sample(random: dice), count: dice.rand(1..20),
            good_until: today + dice.rand(-5..300)
          )
        end
        daily = Rational(dice.rand(1..200))
        walked = NutShelf::Core::Season::JarWalk.new(daily).call(jars, from: today, to: today + 99)
        eaten = (daily * 100) - walked.short_ml
        expect(eaten + walked.past.sum(0r, &:ml) + walked.left.values.sum(0r)).to eq(jars.sum(0r, &:ml))
        expect(walked.hole_from.nil?).to eq(walked.short_ml.zero?)
      end
    end

    it "hold at least what is to be made, and never more than one jar over" do
      100.times do
        sizes = [250r, 370r, 500r, 1000r].sample(dice.rand(1..4), random: dice)
        empties = sizes.to_h { |size| [size, dice.rand(0..12)] }
        make = Rational(dice.rand(0..20_000))
        jars, find = NutShelf::Core::Season::Filling.new(Rational(dice.rand(200..800)), empties).call(make)
        filled = jars.sum(0r) { |size, count| size * count }
        expect(filled).to be >= make
        expect(filled - make).to be < 1000
        expect(jars.sum { |size, count| [count - empties[size], 0].max }).to eq(find)
      end
    end
  end

  describe "cold and fuel" do
    it "last no longer where it is warmer, and burn no less where it is colder" do
      catalog.trips.cold.each_value do |row|
        hours = (-5..45).map { |temp| trips::ColdKept.new(row, temp_c: temp.to_r, leaves: Time.utc(2027)).hours }
        expect(hours).to eq(hours.sort.reverse)
      end
      fuel = trips::Fuel.new(NutShelf::Core::Kits::Figures.new(targets: catalog.targets))
      burnt = (-10..30).map do |temp|
        fuel.call([trips::HotMeal.new(boil_ml: 1000r, temp_c: temp.to_r)], days: 1, net_g: 230r).need_g
      end
      expect(burnt).to eq(burnt.sort.reverse)
    end
  end

  describe "a packing list" do
    it "names what is there and good that day, and says what is short" do
      100.times do
        stacks = Array.new(dice.rand(0..5)) do |at|
          trips::PackStack.new(
            id: at, grams: Rational(80 * dice.rand(1..6)), pack_g: 80r, good_until: today + dice.rand(-2..9),
            open: dice.rand < 0.2, set_apart: dice.rand < 0.2
          )
        end
        needs = Array.new(dice.rand(1..5)) do
          trips::MealNeed.new(day: today + dice.rand(0..6), meal: "dinner", grams: Rational(dice.rand(10..300)))
        end
        sealed = dice.rand < 0.5
        packing = trips::Packing.new(stacks, sealed: sealed)
        lines = packing.call(needs)
        known = stacks.to_h { |one| [one.id, one] }
        lines.each do |line|
          line.picks.each_key do |id|
            expect(known.fetch(id).good_until).to be >= line.day
            expect(known.fetch(id).set_apart || (sealed && known.fetch(id).open)).to be(false)
          end
        end
        taken = Hash.new(0r)
        lines.each { |line| line.picks.each { |id, grams| taken[id] += grams } }
        packing.left.each { |id, grams| expect(grams + taken[id]).to eq(known.fetch(id).grams) }
        expect(packing.left.values).to all(be >= 0)
        got = lines.sum(0r) { |line| line.picks.values.sum(0r) - line.over_g + line.short_g }
        expect(got).to eq(needs.sum(0r, &:grams))
      end
    end
  end

  describe "coming home" do
    def home(item, back: today)
      trips::ComingHome.new(catalog, policy, left_on: back - 5, back_on: back, highest_c: 20r).of(item)
    end

    it "makes no date later than it was" do
      %w[dark-chocolate crispbread couscous almonds tuna-pouch canned-beef-stew].each do |key|
        item = trips::Returned.new(food: food(key), printed_on: today + 40, printed_kind: :best_before)
        expect(home(item).good_until).to be <= today + 40
        opened = item.with(opened_on: today - 1)
        expect(home(opened).good_until || today).to be <= today + 40
      end
    end

    it "gives what is past its time no new days" do
      carrots = trips::Returned.new(
        food: food("carrots"), situation: "home_dried", since: today - 900, home_place: "cool_dark"
      )
      expect(home(carrots)).to have_attributes(fate: :out, why: "its time is over")
    end
  end

  describe "what trips teach" do
    it "stays within bounds, whatever one odd trip was like" do
      [[0r], [1r, 1r, 1r], [2r], [1/2r, 1/2r, 1/2r]].each do |shares|
        past = shares.map { |eaten| trips::PastTrip.new(planned_kcal: 100r, back_kcal: 100 - (eaten * 100)) }
        expect(trips::Learning.new(past).factor).to be_between(7/10r, 6/5r)
      end
    end
  end

  describe "a standing box" do
    it "keeps nothing that heat brings below what it must reach, and never calls a date later" do
      100.times do
        box = trips::StandingBox.new(refresh_on: today, margin_days: 30, high_c: dice.rand(15..45), low_c: 0)
        lots = Array.new(dice.rand(0..4)) do |at|
          trips::BoxLot.new(
            id: at, count: dice.rand(1..5), good_until: today + dice.rand(-30..1500),
            in_since: today - dice.rand(0..400)
          )
        end
        line = box.call(trips::BoxLine.new(food: food("crackers"), want: dice.rand(0..8), lots: lots))
        line.out.each { |one| expect(one.eat_by).to be <= lots.find { |lot| lot.id == one.id }.good_until }
        stayed = lots.reject { |lot| line.out.map(&:id).include?(lot.id) }
        expect(stayed.map(&:good_until)).to all(be >= box.must_reach)
        expect(line.stays).to eq(stayed.sum(&:count))
        expect(line.buy_dated).to be >= box.must_reach if line.buy.positive?
      end
    end
  end
end
