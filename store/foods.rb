# frozen_string_literal: true

require_relative "table"
require_relative "typing"
require_relative "../core/reference/catalog"

module NutShelf
  module Store
    # The household's foods: the shipped ones it may have corrected, and its own.
    class Foods < Table
      LIMIT = 20

      # SELECT * FROM foods WHERE household_id = 7 AND archived_at IS NULL ORDER BY name
      def all = rows(:foods).where(archived_at: nil).order(:name).all

      # Those out of sight too: a dish still names them.
      # SELECT coalesce(reference_key, key), id FROM foods WHERE household_id = 7
      # @return [Hash{String=>Integer}] by the key recipes use
      def ids_by_key
        rows(:foods).select_hash(Sequel.function(:coalesce, :reference_key, :key).as(:food_key), :id)
      end

      # @return [Rows::Food]
      # @raise [Missing]
      def find(id) = found(rows(:foods).where(id: id).first, "food")

      # @return [Hash{String=>Rows::Food}]
      def by_key(keys) = rows(:foods).where(key: keys).to_h { |row| [row.key, row] }

      # @return [Hash{Integer=>Rows::Food}]
      def by_id(ids) = rows(:foods).where(id: ids).to_h { |row| [row.id, row] }

      # SELECT id, weekly_said FROM foods WHERE household_id = 7 AND weekly_said IS NOT NULL
      def weekly_said = rows(:foods).exclude(weekly_said: nil).select_hash(:id, :weekly_said).transform_values(&:to_r)

      # SELECT id, working_amount FROM foods WHERE household_id = 7 AND working_amount IS NOT NULL
      # @return [Hash{Integer=>Rational}] grams
      def working_amounts
        rows(:foods).exclude(working_amount: nil).select_hash(:id, :working_amount).transform_values(&:to_r)
      end

      # Names that hold the words, then names that look like them (trigrams).
      # SELECT * FROM foods WHERE household_id = 7 AND archived_at IS NULL
      #   AND (search_text ILIKE '%chick%' OR word_similarity('chick', search_text) > 0.5) ORDER BY ... LIMIT 20
      def search(text, limit: LIMIT)
        like = Sequel.ilike(:search_text, "%#{db.dataset.escape_like(text)}%")
        near = Sequel.function(:word_similarity, text.downcase, :search_text)
        rows(:foods)
          .where(archived_at: nil)
          .where(like | (near > 0.5))
          .order(
            Sequel.case({ Sequel.ilike(:name, "#{db.dataset.escape_like(text)}%") => 0 }, 1),
            Sequel.desc(near),
            :name
          )
          .limit(limit)
          .all
      end

      # SELECT id FROM foods WHERE household_id = 7 AND search_text ILIKE '%chick%'
      # @return [Array<Integer>] ids of foods whose names hold the words
      def holding(text)
        rows(:foods).where(Sequel.ilike(:search_text, "%#{db.dataset.escape_like(text)}%")).select_map(:id)
      end

      # What is put away most often, the latest first where that is level.
      # SELECT foods.*, count(*) FROM foods JOIN lots JOIN movements ON reason IN ('bought', 'made', 'brought_in') GROUP
      #   BY foods.id ORDER BY count(*) DESC LIMIT 24
      def usual(limit: 24)
        came =
          db[:movements]
            .join(:lots, { household_id: Sequel[:movements][:household_id], id: Sequel[:movements][:lot_id] })
            .where(Sequel[:movements][:household_id] => household_id, :reason => %w[bought brought_in])
            .group(Sequel[:lots][:food_id])
            .select(
              Sequel[:lots][:food_id],
              Sequel.function(:count).*.as(:times),
              Sequel.function(:max, Sequel[:movements][:id]).as(:latest)
            )
        rows(:foods)
          .join(came.as(:came), food_id: Sequel[:foods][:id])
          .where(Sequel[:foods][:archived_at] => nil)
          .exclude(aisle: "Home leftovers")
          .select_all(:foods)
          .order(Sequel.desc(:times), Sequel.desc(:latest))
          .limit(limit)
          .all
      end

      # How each of these foods came last: how many, in what pack, where to, with which date.
      # SELECT DISTINCT ON (lots.food_id) lots.*, movements.quantity FROM lots JOIN movements ON reason IN ('bought',
      #   'brought_in')
      #   WHERE lots.food_id IN (...) ORDER BY lots.food_id, movements.id DESC
      # @return [Hash{Integer => Rows::CameLast}] by food
      def came_last(ids)
        facts =
          %i[food_id start_place_id pack_amount dimension noun printed_on printed_kind acquired_on].map do |name|
            Sequel[:lots][name]
          end
        rows(:lots)
          .join(:movements, { household_id: Sequel[:lots][:household_id], lot_id: Sequel[:lots][:id] })
          .where(Sequel[:lots][:food_id] => ids, Sequel[:movements][:reason] => %w[bought brought_in])
          .distinct(Sequel[:lots][:food_id])
          .order(Sequel[:lots][:food_id], Sequel.desc(Sequel[:movements][:id]))
          .select(*facts, Sequel[:movements][:quantity])
          .then { |found| rows_as(found, Rows::CameLast).to_h { |row| [row.food_id, row] } }
      end

      # @return [Integer] id
      def add(key:, name:, **facts)
        insert(:foods, Typing.row(db, :foods, { key: key, name: name, search_text: name.downcase, **facts }))
      end

      # Gives a food the household's own words.
      def nickname(key, names)
        rows(:foods).where(key: key).update(
          nicknames: array(names),
          search_text: Sequel.join([:search_text, " ", names.join(" ").downcase])
        )
      end

      # Foods are archived, never deleted.
      # @return [Boolean] false when there is stock of it
      def archive(id)
        return false unless rows(:lots).where(food_id: id).where { on_hand > 0 }.empty?

        rows(:foods).where(id: id).update(
          archived_at: Sequel::CURRENT_TIMESTAMP,
          key: Sequel.join([:key, "-archived-", Sequel.cast(:id, :text)])
        )
        true
      end

      # Copies the shipped foods into a new household, with the words they are searched by.
      # @param catalog [Core::Catalog]
      # @param names [Hash{String=>String}] further search words by food key
      def seed(catalog, names)
        db[:foods].multi_insert(shipped(catalog).map { |food| seeded(food, names) })
      end

      # Brings foods into a household that were shipped since it was made.
      # @return [Integer] how many
      def take_in(catalog, names)
        known = rows(:foods).select_map(:reference_key).to_h { |key| [key, true] }
        fresh = shipped(catalog).reject { |food| known.key?(food.key) }.map { |food| seeded(food, names) }
        db[:foods].multi_insert(fresh)
        fresh.size
      end

      # @return [Array<Core::Food>] those a household gets
      def shipped(catalog) = catalog.foods.values.select { |food| shipped?(catalog, food) }

      # Home-made classes are foods people name ("soup"); classes of bought food are not.
      def shipped?(catalog, food) = !food.key.start_with?("class-") || catalog.home_class?(food.key)

      private

      def seeded(food, names)
        {
          household_id: household_id,
          key: food.key,
          name: food.name,
          reference_key: food.key,
          class_key: food.class_key,
          aisle: food.aisle,
          food_group: food.food_group,
          dimension: food.dimension.to_s,
          search_text: "#{food.name} #{names[food.key]}".downcase
        }
      end
    end
  end
end
