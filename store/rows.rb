# frozen_string_literal: true

require_relative "../core/rotation/place"
require_relative "../core/value"
require_relative "shop_rows"
require_relative "trip_rows"
require_relative "typing"

module NutShelf
  module Store
    # What the rows of each table travel as: one frozen value a row, its fields named and typed as the columns are
    # (numbers with decimals are Rational, JSON and lists are frozen). A column nobody told of here is an error, so that
    # none is added by the way. Fields that a question adds from another table stand in a class of their own.
    module Rows
      module_function

      # A stack with all that is known of it: what it is, its story, and the dates that follow from both.
      Lot =
        Core::Value.of(
          :id, :food_id, :place_id, :pack_id, :container_id, :start_place_id, :dimension, :pack_amount,
          :noun, :level, :situation, :acquired_on, :made_on, :printed_on, :printed_kind, :known_on, :seen_on,
          :leftover_days, :method, :wrapping, :opening, :care_until, :care_words, :quarantine_reason, :quality_until,
          :safety_until, :strict_until, :ready_on, :usable_until, :on_hand, :value_minor,
          label: "", lot_text: "", directions: "", bought_for: "", basis: "none", history: [].freeze,
          steps: [].freeze, flags: [].freeze, open: false, frozen: false, quarantined: false, stopped: false,
          look_first: false, age_unknown: false, by_school: true, value_estimated: false
        ) do
          # @return [Rational] what a hand takes at once: an opened pack whole, else one pack, else all of it
          def one_pack = [pack_amount || 1r, on_hand].min

          # @param food [#name]
          # @return [String] what people call it
          def name(food) = label.empty? ? food.name : label

          # @return [Boolean]
          def gone? = !on_hand.positive?
        end
      ExportedLot = Core::Value.of(*Lot::FIELDS, :food_name, :place_name)
      # A stack a recall may mean.
      Recalled = Core::Value.of(:id, :place_id, :lot_text)
      # The day it was last seen, and nothing else of a stack.
      Sighting = Core::Value.of(:id, :seen_on)
      # An amount of a stack that is kept for somebody or something.
      Reservation = Core::Value.of(:id, :lot_id, :kit_id, :trip_id, :amount, :holder, :until_on, :archived_at, :version)
      # A stack that does not equal the sum of its movements.
      Imbalance = Core::Value.of(:id, :on_hand, :quantity)

      Act =
        Core::Value.of(
          :id, :account_id, :role, :kind, :occurred_on, :noted_at, :summary, :undoes_act_id, :subject_id, :device,
          :sequence, :revision
        )
      # With who did it and which act took it back.
      TellingAct = Core::Value.of(*Act::FIELDS, :person, :undone_by)
      # With what it did to one stack.
      StackAct = Core::Value.of(*TellingAct::FIELDS, :quantity, :value, :reason, :why, :event_kind)
      # What a stack came from by an act: "split", "poured" or "cooked", and how much of the source.
      Source = Core::Value.of(:id, :act_id, :lot_id, :source_lot_id, :kind, :amount)
      Movement =
        Core::Value.of(
          :id, :act_id, :lot_id, :quantity, :value_minor, :reason, :why, :state, :days_left, :looked
        )
      # A movement with the act it is of and what its stack is.
      Moved =
        Core::Value.of(
          :id, :act_id, :lot_id, :quantity, :value_minor, :reason, :why, :days_left, :looked, :occurred_on, :sequence,
          :account_id, :act_kind, :food_id, :dimension, :noun, :pack_amount, :place_id, :start_place_id, :acquired_on,
          :made_on, :method, :open, value_estimated: false, history: [].freeze
        )
      LotEvent = Core::Value.of(:id, :act_id, :lot_id, :kind, :before, :after)
      RecordEvent = Core::Value.of(:id, :act_id, :record, :record_id, :before, :after)
      # What counts wrote off of a stack.
      Loss = Core::Value.of(:quantity, :value)

      Food =
        Core::Value.of(
          :id, :key, :name, :reference_key, :class_key, :aisle, :food_group, :dimension, :g_per_ml, :g_per_piece,
          :kept_by_level, :nicknames, :search_text, :archived_at, :merged_into_id, :version, :working_amount,
          :weekly_said, :allergens, :home_place_id
        ) do
          # @return [Boolean] whether the household made it up
          def own? = reference_key.nil?
        end
      # How a food came last.
      CameLast =
        Core::Value.of(
          :food_id, :start_place_id, :pack_amount, :dimension, :noun, :printed_on, :printed_kind, :acquired_on,
          :quantity
        )
      Pack = Core::Value.of(:id, :food_id, :amount, :dimension, :noun, :opening)
      Barcode = Core::Value.of(:code, :food_id, :amount, :dimension)
      Price =
        Core::Value.of(:id, :food_id, :pack_id, :act_id, :price_minor, :amount, :dimension, :observed_on, :shop_id)
      # With the size of one of its packs, nil where it was loose.
      PackPrice = Core::Value.of(*Price::FIELDS, :pack)
      # Food that is frozen, dried or bottled at home: `cut` the row of the table (drying) or the product (bottling);
      # `lot_id` what is worked on, which `reservation_id` keeps for it; grams, minor units, hours it took so far;
      # `heated_c` what the middle reached; `ticked` numbers of steps; `jars` [{"ml", "count", "sealed"}]. "going" or
      # "finished".
      Batch =
        Core::Value.of(
          :id, :food_id, :lot_id, :reservation_id, :process, :begun_on, :finished_on, :in_g, :out_g, :trays, :temp_c,
          :heated_c, :archived_at, cut: "", status: "going", value_minor: 0, hours: 0r, source: "", note: "",
          ticked: [].freeze, jars: [].freeze, version: 1
        )
      KeepingRule = Core::Value.of(:id, :scope, :place, :state, :storage, :low, :high, :kind, :reason, :removed)

      Recipe =
        Core::Value.of(
          :id, :key, :name, :meal, :servings, :active_minutes, :total_minutes, :gear, :leftover_days, :freezes, :steps,
          :tags, :version, :follows_id, own: false, notes: "", source: ""
        )
      # `text`: as somebody wrote it, empty in the shipped dishes; `position`: where it stands among them.
      RecipeLine =
        Core::Value.of(:id, :recipe_id, :food_id, :amount, :dimension, :optional, :note, text: "", position: 0,
          made: false)
      # A line nobody matched to a food.
      RecipeText = Core::Value.of(:id, :recipe_id, :position, :text)
      # The version in force of a dish, by its key.
      Dish = Core::Value.of(:id, :key, :recipe_id, :archived_at, version: 1, likes: {}.freeze)
      # What may stand in for a line's food, so many grams of it for one gram.
      Substitute = Core::Value.of(:id, :line_id, :food_id, :factor)
      # What fills a meal: "cook" a dish, "leftovers" of another meal, "kept" portions of a stack, "out", "whatever" is
      # left. Without a day it waits in the pool. `pinned`: no filling changes it. `choices`: line to the food that
      # stands in, nil where it is left out.
      Meal =
        Core::Value.of(
          :id, :on_date, :meal, :recipe_id, :servings, :status, :from_meal_id, :lot_id, kind: "cook", pinned: false,
          choices: {}.freeze, note: "", version: 1
        )
      # What a meal of a day is like. `eaters`: {"people" => ids, "guests" => [...]}, nil for everybody; `gear`: what
      # is at hand, nil for all of it.
      Slot =
        Core::Value.of(
          :id, :on_date, :meal, :evening, :minutes, :morning_minutes, :eaters, :gear, :note, :archived_at, :version
        )
      # The same for every such weekday, 0 for Sunday.
      Pattern =
        Core::Value.of(
          :id, :name, :weekday, :meal, :evening, :minutes, :morning_minutes, :eaters, :gear, :note, :archived_at,
          :version
        )
      # Days planned together: `trips` to the shops, `rules` of their own.
      Span = Core::Value.of(:id, :name, :kind, :from_on, :to_on, :trips, :rules, :archived_at, :version)
      # A meal that comes round. `recurrence`: see Core::Recurrence; `serve_at`: "18:30"; `eaters` as a slot has them;
      # `dishes`: [{"dish" => key, "servings" => text or nil, "ahead" => boolean}]; `ideas`: [{"text", "dish"}].
      Occasion =
        Core::Value.of(
          :id, :name, :recurrence, :meal, :serve_at, :eaters, :dishes, :ideas, :notes, :cooks, :ovens, :archived_at,
          :version
        )
      # How it was: `dishes`: [{"dish" => key, "name", "cooked" => text, "left" => text or nil}].
      OccasionTime =
        Core::Value.of(:id, :occasion_id, :on_date, :heads, :dishes, :notes, :archived_at, :version)
      # With its dish.
      ListedMeal = Core::Value.of(*Meal::FIELDS, :recipe_name, :total_minutes, :active_minutes)

      Container =
        Core::Value.of(
          :id, :name, :kind, :shape, :capacity_ml, :tare_g, :full_at, :owned, :place_id, :archived_at, :version
        )
      # With how many hold something.
      UsedContainer = Core::Value.of(*Container::FIELDS, :in_use)
      Photo = Core::Value.of(:id, :place_id, :media_type, :bytes, :taken_at, :archived_at)
      DishPhoto = Core::Value.of(:id, :dish_id, :media_type, :bytes, :taken_at, :archived_at)
      CareRule =
        Core::Value.of(
          :id, :title, :lot_id, :place_id, :first_on, :every_days, :every_months, :holds_days, :done_on, :next_on,
          :archived_at, :version
        ) do
          # @return [Date, nil] until when what was done holds
          def held_until = holds_days && ((done_on || first_on) + holds_days)
        end
      # With where its stack stands.
      StandingCare =
        Core::Value.of(*CareRule::FIELDS, :lot_place_id) do
          # @return [Integer, nil] the place it is done in
          def where_id = place_id || lot_place_id
        end
      Count = Core::Value.of(:id, :account_id, :place_id, :status, :started_at)
      PersonsCount = Core::Value.of(*Count::FIELDS, :person)
      CountLine =
        Core::Value.of(
          :id, :count_id, :account_id, :lot_id, :found, :amount, :delta, :level, :draft, :removed, :entered_at
        )
      PersonsLine = Core::Value.of(*CountLine::FIELDS, :person)
      # What was used of a food on a day; what a count found missing, since the day of the look before.
      Use = Core::Value.of(:food_id, :dimension, :occurred_on, :since, :used)

      Household =
        Core::Value.of(
          :id, :name, :time_zone, :currency, :day_order, :school, :settings, :revision, :version, :dated_by, :uid,
          :raised_in, :stock_revision, :plan_revision, :people_revision, :counts_revision, :rules_revision,
          :list_revision
        )
      Person =
        Core::Value.of(
          :id, :name, :portion_factor, :strict, :eats, :excludes, :note, :archived_at, :version, :born_on, :age,
          :age_on, :sex, :kg, :activity, pregnant: false, nursing: false, formula_fed: false, dislikes: [].freeze
        )
      # An animal of the house.
      Pet = Core::Value.of(:id, :name, :species, :kg, :archived_at, version: 1)
      # A kit: for whom (`people` and `pets` by id, nil for all), how many days, by which school, and under what
      # conditions; `refresh_days`: "10-01"; `given_up`: keys of foods that are done without on purpose; a box's room
      # and weight, and what one person carries.
      Kit =
        Core::Value.of(
          :id, :name, :days, :canister, :people, :pets, :refreshed_on, :archived_at,
          school: "set_apart", level: "usual", activity: "light", hot: false, no_power: true, no_water: true,
          may_leave: false, gear: "burner", fuel_row: "fuel-gas-canister-mild", fuel_amount: 0r, hot_drinks: true,
          water_basis: "drink-light-hygiene", refresh_days: [].freeze, margin_days: 30, budget_minor: 0,
          count_disliked: false, given_up: [].freeze, box_ml: 30_000, box_tare_g: 1500, carry_g: 12_000, carriers: 1,
          version: 1
        )
      # An hour that is prepared for; `has`: what the house has to mind; `ticked`: task key to who did it and when.
      Event =
        Core::Value.of(
          :id, :name, :hour, :archived_at, fill_l: 0r, flush_l: 0r, helpers: 1, days: 3, has: [].freeze,
          ticked: {}.freeze, version: 1
        )
      # A power cut; `readings`: [{"where", "at", "c"}]; `stood`: stack id to "fridge" or
      # "freezer", where it stood as the power came back; `findings`: stack id to what was done with it.
      Outage =
        Core::Value.of(
          :id, :started_at, :ended_at, :settled_on, :archived_at, freezer_fill: 1r, readings: [].freeze,
          stood: {}.freeze, findings: {}.freeze, version: 1
        )
      Membership = Core::Value.of(:account_id, :household_id, :role)
      Member = Core::Value.of(:account_id, :role, :name, :email)
      Invitation =
        Core::Value.of(
          :id, :account_id, :for_account_id, :name, :role, :token_hash, :made_at, :expires_at, :used_at, :revoked_at
        )
      # An invitation as whoever holds its link sees it.
      Offer = Core::Value.of(:id, :household_id, :household_name, :name, :role, :for_account_id, :for_email)
      Feed = Core::Value.of(:id, :account_id, :token_hash, :made_at, :revoked_at)
      Account = Core::Value.of(:id, :status_id, :email, :name, :password_hash)
      Request = Core::Value.of(:account_id, :key, :request_hash, :answer, :stored_at)
      Reading = Core::Value.of(:device, :reading, :read_at)

      TABLES = {
        lots: Lot, acts: Act, movements: Movement, lot_events: LotEvent, lot_sources: Source,
        record_events: RecordEvent, foods: Food,
        packs: Pack, price_observations: Price, keeping_rules: KeepingRule, recipes: Recipe, recipe_lines: RecipeLine,
        recipe_texts: RecipeText, dishes: Dish,
        recipe_substitutes: Substitute,
        meals: Meal, containers: Container, place_photos: Photo, care_rules: CareRule, counts: Count,
        count_lines: CountLine, people: Person, invitations: Invitation, calendar_feeds: Feed,
        reservations: Reservation, meal_slots: Slot, meal_patterns: Pattern, plan_spans: Span,
        occasions: Occasion, occasion_times: OccasionTime, dish_photos: DishPhoto,
        shops: Shop, shoppings: Shopping, list_lines: ListLine, wants: Want,
        advice_answers: AdviceAnswer, pets: Pet, kits: Kit, events: Event, outages: Outage,
        batches: Batch, trips: Trip, trip_meals: TripMeal, box_wants: BoxWant, season_lines: SeasonLine,
        own_bags: OwnBag,
        stored_requests: Request, device_readings: Reading, places: Core::Place
      }.freeze

      # @param made [Class] of values
      # @return [Proc] makes one of a row; inside the wall every row is the household's, so that is left out
      def maker(made)
        inside = !made::FIELDS.include?(:household_id)
        lambda do |row|
          row.delete(:household_id) if inside
          row.each { |name, value| row[name] = Typing.read(value) }
          made.new(**row)
        end
      end

      # @param found [Sequel::Dataset]
      # @param made [Class] of values
      # @return [Sequel::Dataset] whose rows are such values
      def typed(found, made) = found.with_row_proc(maker(made))

      # @param found [Sequel::Dataset]
      # @param name [Symbol] of a table
      # @return [Sequel::Dataset] whose rows are values, where the table's are told of here
      def of_table(found, name) = TABLES.key?(name) ? typed(found, TABLES[name]) : found
    end
  end
end
